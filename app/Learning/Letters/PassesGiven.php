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

/** To whoever has got a pass, by whatever gave it. */
final readonly class PassesGiven implements DueLetter
{
    /** Seconds in which what was given in error can be taken back without a word. */
    private const SETTLES = 120;

    public function __construct(private SchoolClock $clock, private CoursesOfPasses $courses, private InTheirLanguage $language)
    {
    }

    public function due(SettledLetter $settled): iterable
    {
        $now = $this->clock->now();
        $since = max($settled->since, $this->clock->plusDays($now, -NotYetWritten::DAYS));
        $given = Pass::query()->with(['offer', 'person'])->where('state', 'active')->whereHas('person', NotYetWritten::readers(...))->whereBetween('created_at', [NotYetWritten::stamp($since), NotYetWritten::stamp($now - self::SETTLES)]);
        $once = static fn (Pass $pass): string => "pass-given {$pass->id}";
        foreach (NotYetWritten::of(LetterKind::PassGiven, $given->lazyById(NotYetWritten::GROUP), $once, static fn (Pass $pass): int => $pass->person_id) as $passes) {
            $letters = [];
            foreach ($this->courses->views($passes) as $id => $view) {
                $pass = $passes->firstWhere('id', $id);
                $ends = $pass?->ends_at?->getTimestamp();
                if ($pass === null || ($ends !== null && $ends <= $now)) {
                    continue;
                }
                $next = $view->dates->opensNext();
                $begins = $pass->starts_at->getTimestamp();
                $letters[] = $this->language->say($pass->person, fn (): LetterTo => LetterTo::person($pass->person, [
                    ...$this->courses->values($pass, $view),
                    'begins' => $begins <= $now ? Say::text('letters.now') : $this->courses->zoned($begins),
                    'until' => $ends === null ? Say::text('letters.for_good') : Say::text('letters.until', ['at' => $this->clock->plain($ends), 'zone' => $this->clock->zoneName()]),
                    'open' => Say::text('letters.open', ['count' => $view->openLessons()]),
                    'next' => $next === null ? '' : Say::text('letters.next', ['title' => $next->title, 'at' => $next->at, 'zone' => $this->clock->zoneName()]),
                ], $once($pass)));
            }
            yield $letters;
        }
    }
}
