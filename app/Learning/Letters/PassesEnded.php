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

/** To whoever's pass has ended while no other of the course goes on. Trials that erase have a letter of their own. */
final readonly class PassesEnded implements DueLetter
{
    public function __construct(private SchoolClock $clock, private CoursesOfPasses $courses, private InTheirLanguage $language)
    {
    }

    public function due(SettledLetter $settled): iterable
    {
        $now = $this->clock->now();
        $since = max($settled->since, $this->clock->plusDays($now, -NotYetWritten::DAYS));
        $ended = Pass::query()->with(['offer', 'person'])->where('state', 'active')->whereHas('person', NotYetWritten::readers(...))->whereRelation('offer', 'erases', false)
            ->where('ends_at', '>=', NotYetWritten::stamp($since))->where('ends_at', '<=', NotYetWritten::stamp($now));
        $once = static fn (Pass $pass): string => "ended {$pass->id} {$pass->ends_at?->getTimestamp()}";
        foreach (NotYetWritten::of(LetterKind::Ended, $ended->lazyById(NotYetWritten::GROUP), $once, static fn (Pass $pass): int => $pass->person_id) as $passes) {
            $letters = [];
            foreach ($this->courses->views($passes) as $id => $view) {
                $pass = $passes->firstWhere('id', $id);
                if ($pass !== null && ! $this->courses->goesOn($view, $now)) {
                    $letters[] = $this->language->say($pass->person, fn (): LetterTo => LetterTo::person($pass->person, [
                        ...$this->courses->values($pass, $view),
                        'ended' => $this->courses->zoned($pass->ends_at?->getTimestamp() ?? $now),
                        'open' => Say::text('letters.still_open', ['count' => $view->openLessons()]),
                    ], $once($pass)));
                }
            }
            yield $letters;
        }
    }
}
