<?php

declare(strict_types=1);

namespace App\Triggers\Forms;

use App\Models\FormAnswer;
use App\Models\Person;
use App\People\Accounts\OpenAccount;
use App\People\PeopleFinder;
use App\School\Letters\InTheirLanguage;
use App\Words\Say;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/**
 * Finds out whose answer it is: somebody who has an account keeps it, for anybody else one is opened, with a letter to sign in. By
 * the queue, so that not even the time of the answer tells who is known.
 */
final class ReceiveForm implements ShouldQueue
{
    use Queueable;

    public int $tries = 50;

    public int $maxExceptions = 3;

    public function __construct(private readonly int $answer)
    {
    }

    public function handle(PeopleFinder $finder, OpenAccount $open, InTheirLanguage $language): void
    {
        DB::transaction(function () use ($finder, $open, $language): void {
            $answer = FormAnswer::query()->with('form')->find($this->answer);
            if ($answer === null || $answer->person_id !== null) {
                return;
            }
            $person = $finder->byEmail($answer->email) ?? $language->say(null, static fn (): Person => $open($answer->name, $answer->email, static fn (): string => Say::text('letters.address.by_form', ['form' => $answer->form->name])));
            $answer->update(['person_id' => $person->id]);
        });
    }
}
