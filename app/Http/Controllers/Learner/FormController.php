<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Models\Form;
use App\Pages\Triggers\FormsPageBuilder;
use App\Triggers\Forms\SendForm;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** A small form of the school, for anybody. Whoever sends it reads the same, whether they are known or not. */
final readonly class FormController
{
    public function __construct(private FormsPageBuilder $pages)
    {
    }

    public function show(Request $request, string $token): Response
    {
        return Inertia::render('learner/Form', get_object_vars($this->pages->shown(self::form($token), WhoLooks::person($request) === null, $request->session()->get('form-sent') === $token)));
    }

    public function store(Request $request, string $token, SendForm $send): RedirectResponse
    {
        $form = self::form($token);
        $person = WhoLooks::person($request);
        $request->validate([
            ...($person === null ? ['name' => ['required', 'string', 'max:200'], 'email' => ['required', 'string', 'email', 'max:190']] : []),
            ...($form->consent === '' ? [] : ['consents' => ['accepted']]),
            'once' => ['required', 'uuid'],
            'answers' => ['nullable', 'array', 'list', 'max:5'],
            'answers.*' => ['nullable', 'string', 'max:2000'],
            ...array_combine(array_map(static fn (int $index): string => "answers.{$index}", array_keys($form->questions)), array_map(static fn (array $question): array => [$question['required'] ? 'required' : 'nullable', 'string', 'max:2000'], $form->questions)),
        ], [
            'name.required' => Say::text('learner.next_run.no_name'), 'email.required' => Say::text('learner.form.no_email'), 'email.email' => Say::text('learner.next_run.bad_email'),
            'consents.accepted' => Say::text('learner.form.no_consent'), 'answers.*.required' => Say::text('learner.form.no_answer'),
        ]);
        // Nobody sees this field: who fills it in is a program, and is told the same as all others.
        if (! $request->filled('website')) {
            $answers = array_map(static fn (int $index): string => $request->string("answers.{$index}")->trim()->toString(), array_keys($form->questions));
            $send($form, $person->name ?? $request->string('name')->trim()->toString(), $person?->address() ?? $request->string('email')->trim()->toString(), $request->boolean('consents'), $answers, $request->string('once')->toString(), $person);
        }

        return redirect()->route('form', $token)->with('form-sent', $token);
    }

    private static function form(string $token): Form
    {
        return Form::query()->where('token', $token)->where('on', true)->first() ?? abort(404);
    }
}
