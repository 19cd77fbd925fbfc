<?php

declare(strict_types=1);

namespace App\Triggers\Forms;

use App\Models\Form;
use App\Models\FormAnswer;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Keeps what somebody has sent by a form; the same page sent twice is kept once. */
final readonly class SendForm
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * @param  list<string>  $answers  to its questions, in their order
     * @param  ?Person  $person  who is signed in
     */
    public function __invoke(Form $form, string $name, string $email, bool $consents, array $answers, string $once, ?Person $person): void
    {
        $told = array_map(static fn (array $question, string $answer): array => ['ask' => $question['ask'], 'answer' => $answer], $form->questions, $answers);
        DB::transaction(function () use ($form, $name, $email, $consents, $told, $once, $person): void {
            if (FormAnswer::query()->where('once', $once)->doesntExist()) {
                $answer = FormAnswer::query()->create(['form_id' => $form->id, 'person_id' => $person?->id, 'name' => $name, 'email' => mb_strtolower($email), 'consents' => $consents, 'answers' => $told, 'once' => $once, 'sent_at' => $this->clock->now()]);
                $person === null ? ReceiveForm::dispatch($answer->id)->afterCommit() : null;
            }
        });
    }
}
