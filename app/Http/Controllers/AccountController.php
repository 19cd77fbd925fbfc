<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\SchoolOf;
use App\Access\WhoLooks;
use App\Http\ArchiveAnswer;
use App\Http\Middleware\EndedSessions;
use App\Http\Requests\PasswordRequest;
use App\Models\Person;
use App\Pages\Shared\AccountPage;
use App\Pages\Shared\Flash;
use App\Pages\Shared\LetterChoiceRow;
use App\Pages\Shared\OwnData;
use App\People\Accounts\EndSessions;
use App\Privacy\TakeOut;
use App\School\Letters\LetterChoices;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTexts;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What somebody settles for themselves. */
final readonly class AccountController
{
    public function __construct(private EndSessions $endSessions, private LetterTexts $texts, private LetterChoices $choices, private SchoolOf $school)
    {
    }

    public function show(Request $request): Response
    {
        $person = self::person($request);

        return Inertia::render('Account', get_object_vars(new AccountPage($person->name, $person->address(), $person->isConfirmed(), $person->password !== null, $person->isStaff(), $person->language->value ?? '', ($this->school)()->language->value, LetterChoiceRow::of($person, $this->texts, $this->choices), $this->own())));
    }

    /** All that is kept of them. */
    public function data(Request $request, TakeOut $takeOut): BinaryFileResponse
    {
        return ArchiveAnswer::of($takeOut(self::person($request)), 'my-data.zip');
    }

    public function password(PasswordRequest $request): RedirectResponse
    {
        $person = self::person($request);
        $person->password = $request->newPassword();
        $this->stayAlone($request, $person);

        return back()->with(Flash::done(Say::text('learner.account.password_changed')));
    }

    /** Which letters they want. */
    public function letters(Request $request): RedirectResponse
    {
        $request->validate(['kind' => ['required', Rule::enum(LetterKind::class)], 'wanted' => ['required', 'boolean']]);
        $kind = LetterKind::from($request->string('kind')->toString());
        $wanted = $request->boolean('wanted');
        $this->choices->set(self::person($request), [$kind], $wanted);

        return back()->with(Flash::done(Say::text($wanted ? 'learner.letters.wanted' : 'learner.letters.stopped', ['kind' => $kind->toYou()[0]])));
    }

    private function own(): OwnData
    {
        $school = ($this->school)();

        return new OwnData(Say::text('kept.account.title'), Say::text('kept.account.told', ['contact' => $school->contact_email ?? $school->contact_name ?? Say::text('kept.account.nobody')]), Say::text('kept.account.take_out'));
    }

    /** Ends all other sessions. */
    public function sessions(Request $request): RedirectResponse
    {
        $this->stayAlone($request, self::person($request));

        return back()->with(Flash::done(Say::text('learner.account.signed_out')));
    }

    private function stayAlone(Request $request, Person $person): void
    {
        ($this->endSessions)($person);
        $request->session()->regenerate();
        $request->session()->put(EndedSessions::KEY, (string) $person->session_key);
    }

    private static function person(Request $request): Person
    {
        $person = WhoLooks::signedIn($request);

        return $person;
    }
}
