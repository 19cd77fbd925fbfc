<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Person;

use App\Access\WhoLooks;
use App\Http\ArchiveAnswer;
use App\Http\Requests\CorrectPersonRequest;
use App\Http\Text;
use App\Models\Person;
use App\Pages\People\Data\PersonDataPageBuilder;
use App\Pages\Shared\Flash;
use App\Privacy\CorrectPerson;
use App\Privacy\Erasing\CannotErase;
use App\Privacy\Erasing\ErasePerson;
use App\Privacy\TakeOut;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What is kept of somebody: seen, taken out, corrected, erased. */
final readonly class PersonDataController
{
    public function show(Person $person, PersonDataPageBuilder $pages): Response
    {
        return Inertia::render('keep/PersonData', get_object_vars($pages->page($person)));
    }

    public function archive(Person $person, TakeOut $takeOut): BinaryFileResponse
    {
        return ArchiveAnswer::of($takeOut($person), "person-{$person->id}.zip");
    }

    public function update(CorrectPersonRequest $request, Person $person, CorrectPerson $correct): RedirectResponse
    {
        try {
            $correct($person, $request->string('name')->trim()->toString(), $request->string('email')->toString(), $request->string('from')->toString(), WhoLooks::signedIn($request));
        } catch (\DomainException $cannot) {
            throw ValidationException::withMessages(['email' => $cannot->getMessage()]);
        }

        return back()->with(Flash::done(Say::text('privacy_told.corrected')));
    }

    public function destroy(Request $request, Person $person, ErasePerson $erase): RedirectResponse
    {
        if ($person->erased_at === null && mb_strtolower(trim(Text::of($request, 'typed', 190))) !== mb_strtolower($person->address())) {
            throw ValidationException::withMessages(['typed' => Say::text('privacy_told.refused.type')]);
        }
        try {
            $erase($person, WhoLooks::signedIn($request));
        } catch (CannotErase $cannot) {
            throw ValidationException::withMessages(['typed' => $cannot->getMessage()]);
        }

        return redirect()->route('keep.person.data', $person)->with(Flash::done(Say::text('privacy_told.erased')));
    }
}
