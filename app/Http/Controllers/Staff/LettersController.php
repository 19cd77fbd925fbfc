<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\LetterRequest;
use App\Http\Text;
use App\Models\Message;
use App\Models\Person;
use App\Pages\School\LettersPageBuilder;
use App\Pages\Shared\Flash;
use App\School\Letters\LetterChoices;
use App\School\Letters\LetterKind;
use App\School\Letters\SaveLetter;
use App\Standins\Mail\Mailer;
use App\Standins\Mail\Post;
use App\Standins\Mail\SendLetters;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

/** The letters that the school writes by itself. */
final readonly class LettersController
{
    public function __construct(private LettersPageBuilder $pages)
    {
    }

    public function index(Request $request): Response
    {
        $kind = $request->query('kind');

        return Inertia::render('keep/Letters', get_object_vars($this->pages->page(LetterKind::tryFrom(is_string($kind) ? $kind : '') ?? LetterKind::Welcome, WhoLooks::signedIn($request), Gate::allows('run-school'))));
    }

    public function preview(Request $request, string $kind): JsonResponse
    {
        return new JsonResponse($this->pages->preview(self::kind($kind), Text::of($request, 'subject', 300), Text::of($request, 'body', 10_000)));
    }

    public function update(LetterRequest $request, SaveLetter $save): RedirectResponse
    {
        $done = $save($request->kind(), $request->settled(), $request->integer('version'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text('told.letters_controller.saved')) : Flash::meanwhile(Say::text('told.letters_controller.this_letter')));
    }

    /** Its usual words again; whether and when it is written stays. */
    public function destroy(Request $request, string $kind, SaveLetter $save): RedirectResponse
    {
        Gate::authorize('run-school');
        $done = $save->usualWords(self::kind($kind), $request->integer('version'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text('told.letters_controller.saved')) : Flash::meanwhile(Say::text('told.letters_controller.this_letter')));
    }

    /** One to whoever asks, with the words that they have typed. */
    public function sample(LetterRequest $request, Mailer $mailer): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        $mailer->send([$this->pages->toMyself($request->kind(), $request->string('subject')->toString(), $request->string('body')->toString(), $person)]);

        return back()->with(Flash::done(Say::text('told.letters_controller.sent', ['email' => $person->address()])));
    }

    /** What somebody wants, who has told the school so. */
    public function choose(Request $request, Person $person, LetterChoices $choices): RedirectResponse
    {
        $request->validate(['kind' => ['required', Rule::enum(LetterKind::class)], 'wanted' => ['required', 'boolean']]);
        $choices->set($person, [LetterKind::from($request->string('kind')->toString())], $request->boolean('wanted'), WhoLooks::signedIn($request));

        return back()->with(Flash::done(Say::text('told.letters_controller.chosen', ['name' => $person->name])));
    }

    /** Tries one again that did not go, or sends it a second time. */
    public function again(Request $request, Message $message, Post $post): RedirectResponse
    {
        $again = $post->takeUpAgain($message, $request->integer('tries'));
        if ($again) {
            SendLetters::dispatch();
        }

        return back()->with($again ? Flash::done(Say::text('told.letters_controller.again')) : Flash::meanwhile(Say::text('told.letters_controller.this_letter')));
    }

    private static function kind(string $kind): LetterKind
    {
        $kind = LetterKind::tryFrom($kind);

        return $kind === null || $kind === LetterKind::ByHand ? abort(404) : $kind;
    }
}
