<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\Access\SchoolClock;
use App\Models\Pass;
use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\School\Letters\SettledLetter;
use App\Words\Say;

/**
 * To whoever's pass ends soon and is followed by no other. Memberships go on as they are paid for, and trials that erase are
 * warned of by their own letter.
 */
final readonly class PassesEnding implements DueLetter
{
    public function __construct(private SchoolClock $clock, private CoursesOfPasses $courses, private InTheirLanguage $language)
    {
    }

    public function due(SettledLetter $settled): iterable
    {
        $now = $this->clock->now();
        $until = $this->clock->plusDays($now, $settled->days ?? 0);
        // Who has got it only now was told its end with it.
        $ending = Pass::query()->with(['offer', 'person'])->where('state', 'active')->whereHas('person', NotYetWritten::readers(...))->whereRelation('offer', 'erases', false)->whereRelation('offer', 'every', null)
            ->where('ends_at', '>', NotYetWritten::stamp($now))->where('ends_at', '<=', NotYetWritten::stamp($until))->where('starts_at', '<=', NotYetWritten::stamp($this->clock->plusDays($now, -1)));
        $once = static fn (Pass $pass): string => "ends-soon {$pass->id} {$pass->ends_at?->getTimestamp()}";
        foreach (NotYetWritten::of(LetterKind::EndsSoon, $ending->lazyById(NotYetWritten::GROUP), $once, static fn (Pass $pass): int => $pass->person_id) as $passes) {
            $letters = [];
            foreach ($this->courses->views($passes) as $id => $view) {
                $pass = $passes->firstWhere('id', $id);
                $ends = $pass?->ends_at?->getTimestamp();
                if ($pass !== null && $ends !== null && ! $this->courses->goesOn($view, $ends)) {
                    $letters[] = $this->language->say($pass->person, fn (): LetterTo => LetterTo::person($pass->person, [
                        ...$this->courses->values($pass, $view),
                        'ends' => $this->courses->zoned($ends),
                        'days' => (string) $this->clock->wholeDays($now, $ends),
                        'when' => Say::text('letters.in_days', ['days' => $this->clock->nightsBetween($now, $ends)]),
                    ], $once($pass)));
                }
            }
            yield $letters;
        }
    }
}
