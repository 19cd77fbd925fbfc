<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\LetterChoice;
use App\Models\LetterText;
use App\Models\Person;
use App\School\Letters\LetterKind;
use DateTimeImmutable;

/** The letters of the demo school: all kinds are written; of what it begins with nobody is told. */
final class DemoLetters
{
    public function run(DateTimeImmutable $now): void
    {
        foreach ([LetterKind::Welcome, LetterKind::PassGiven, LetterKind::OpenedToday, LetterKind::EndsSoon, LetterKind::Ended] as $kind) {
            LetterText::query()->create(['kind' => $kind->value, 'on' => true, 'days' => $kind->daysAtFirst(), 'hour' => $kind->hourAtFirst(), 'since' => $now->modify('+1 minute')]);
        }
        LetterChoice::query()->create(['person_id' => Person::query()->where('email', 'torvald@alder.test')->sole()->id, 'kind' => LetterKind::OpenedToday->value, 'wanted' => true]);
    }
}
