<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Form;
use App\Models\FormAnswer;
use App\Pages\Learner\FormPage;
use App\Words\SafeText;
use Illuminate\Support\Str;

/** Puts together what is seen of forms, from both sides. */
final readonly class FormsPageBuilder
{
    private const LISTED = 100;

    public function __construct(private SchoolClock $clock)
    {
    }

    public function page(?Form $open, bool $mayEdit): FormsPage
    {
        $sent = FormAnswer::query()->toBase()->selectRaw('form_id, count(*) as sent')->groupBy('form_id')->pluck('sent', 'form_id');
        $forms = Form::query()->orderBy('name')->get()->map(static fn (Form $form): FormRow => new FormRow(
            $form->id, $form->version, $form->name, $form->on, SchoolAddress::of('form', $form->token), $form->text, $form->consent, self::questions($form), $form->thanks, Value::int($sent[$form->id] ?? 0),
        ))->all();
        $answers = $open === null || ! $mayEdit ? [] : FormAnswer::query()->where('form_id', $open->id)->orderByDesc('id')->limit(self::LISTED)->get()->map(fn (FormAnswer $one): AnswerRow => new AnswerRow(
            $one->id, $one->person_id, $one->name, $one->email, $one->consents, array_map(static fn (array $told): string => "{$told['ask']} {$told['answer']}", $one->answers), $this->clock->words($one->sent_at->getTimestamp()),
        ))->all();

        return new FormsPage(array_values($forms), $open?->id, array_values($answers), $mayEdit);
    }

    public function shown(Form $form, bool $asksWho, bool $sent): FormPage
    {
        return new FormPage($form->name, SafeText::html($sent ? $form->thanks : $form->text), $form->consent, self::questions($form), $asksWho, (string) Str::uuid(), $sent);
    }

    /** @return \Generator<int, list<string>> with a row of heads, for a file */
    public function csv(Form $form): \Generator
    {
        $asks = array_column($form->questions, 'ask');
        yield ['name', 'email', 'consents', 'sent', ...$asks];
        foreach (FormAnswer::query()->where('form_id', $form->id)->lazyById() as $one) {
            $told = array_column($one->answers, 'answer', 'ask');
            yield [$one->name, $one->email, $one->consents ? 'yes' : 'no', gmdate(DATE_ATOM, $one->sent_at->getTimestamp()), ...array_map(static fn (string $ask): string => $told[$ask] ?? '', $asks)];
        }
    }

    /** @return list<FormQuestion> */
    private static function questions(Form $form): array
    {
        return array_map(static fn (array $one): FormQuestion => new FormQuestion($one['ask'], $one['required']), $form->questions);
    }
}
