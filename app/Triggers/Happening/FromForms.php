<?php

declare(strict_types=1);

namespace App\Triggers\Happening;

use App\Models\Form;
use App\Models\FormAnswer;
use App\Triggers\Spec\When;
use App\Words\Say;

/** Forms that were sent, once it is known by whom. */
final readonly class FromForms
{
    /** @return list<Happening> */
    public function of(When $when, int $from, int $to): array
    {
        $form = Form::query()->find($when->form);
        $answers = $form === null ? [] : FormAnswer::query()->where('form_id', $form->id)->whereNotNull('person_id')->whereBetween('sent_at', [Happening::stamp($from), Happening::stamp($to)])->orderBy('id')->limit(Happening::MOST)->get()->all();

        return array_values(array_map(static fn (FormAnswer $one): Happening => new Happening("form {$one->id}", (int) $one->person_id, $one->sent_at->getTimestamp(), Say::text('triggers.cause.form-sent', ['form' => $form->name ?? ''])), $answers));
    }
}
