<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Person;
use App\Pages\Shared\Flash;
use App\Pages\Shared\StopLettersPage;
use App\School\Letters\LetterChoices;
use App\School\Letters\LetterKind;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\Response as Answer;

/** Wanting no more letters, by the address that stands in each: whoever has it need not sign in. */
final readonly class StopLettersController
{
    public function __construct(private LetterChoices $choices)
    {
    }

    /** What programs fetch for somebody changes nothing: it is stopped by the button there. */
    public function show(Person $person, string $kind): Response
    {
        $kind = LetterKind::tryFrom($kind) ?? abort(404);
        $wanted = $this->choices->of($person);

        return Inertia::render('learner/StopLetters', get_object_vars(new StopLettersPage(...$kind->toYou(), wanted: $wanted[$kind->value], any: in_array(true, $wanted, true))));
    }

    /** By the button, or by the mail program itself (RFC 8058), which follows no redirection. */
    public function store(Request $request, Person $person, string $kind): Answer
    {
        $kind = LetterKind::tryFrom($kind) ?? abort(404);
        if ($request->input('List-Unsubscribe') === 'One-Click') {
            $this->choices->set($person, [$kind], wanted: false);

            return response(Say::text('learner.letters.stopped', ['kind' => $kind->toYou()[0]]), 200, ['Content-Type' => 'text/plain; charset=utf-8']);
        }

        return $this->chosen($request, $person, $kind);
    }

    private function chosen(Request $request, Person $person, LetterKind $kind): RedirectResponse
    {
        $request->validate(['wanted' => ['required', 'boolean'], 'all' => ['nullable', 'boolean']]);
        $wanted = $request->boolean('wanted');
        $all = $request->boolean('all') && ! $wanted;
        $this->choices->set($person, $all ? LetterKind::cases() : [$kind], $wanted);

        return redirect($request->fullUrl())->with(Flash::done(Say::text($all ? 'learner.letters.stopped_all' : ($wanted ? 'learner.letters.wanted' : 'learner.letters.stopped'), $all ? [] : ['kind' => $kind->toYou()[0]])));
    }
}
