<?php

declare(strict_types=1);

namespace App\Triggers\Forms;

use App\Models\Form;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes forms and changes them. The address stays: it may stand anywhere. */
final readonly class SaveForm
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @param  array{name: string, on: bool, text: string, consent: string, questions: list<array{ask: string, required: bool}>, thanks: string}  $fields */
    public function make(array $fields, Person $author): Form
    {
        return DB::transaction(function () use ($fields, $author): Form {
            $form = Form::query()->create([...$fields, 'token' => Str::lower(Str::random(20))]);
            $this->log->note('form.made', $author, after: $fields);

            return $form;
        });
    }

    /**
     * @param  array{name: string, on: bool, text: string, consent: string, questions: list<array{ask: string, required: bool}>, thanks: string}  $fields
     * @param  int  $seen  the version that the author saw
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function change(Form $form, array $fields, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($form, $fields, $seen, $author): bool {
            $kept = Form::query()->find($form->id);
            if ($kept === null || $kept->version !== $seen) {
                return false;
            }
            $before = $kept->only(array_keys($fields));
            $kept->update([...$fields, 'version' => $seen + 1]);
            $this->log->note('form.changed', $author, before: $before, after: $fields);

            return true;
        });
    }
}
