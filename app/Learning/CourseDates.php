<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Answer;
use App\Access\SchoolClock;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** What time alone will change of a course for one viewer, of what may be known of now. */
final readonly class CourseDates
{
    public function __construct(private Answer $answer, private SchoolClock $clock)
    {
    }

    /** What opens next by time alone, of what may be known of: the first of those that open together. */
    public function opensNext(): ?DateRow
    {
        $opens = null;
        $soonest = Instant::NEVER;
        foreach ($this->answer->decisions() as $position => $decision) {
            if ($decision->state === State::Locked && $decision->next?->state === State::Open && $decision->next->at < $soonest) {
                $soonest = $decision->next->at;
                $opens = $this->answer->decider->course->outline->items[$position];
            }
        }

        return $opens === null ? null : new DateRow($this->clock->words($soonest), $opens->key, $opens->title ?? $opens->key, opens: true, instant: Instant::format($soonest));
    }

    /**
     * The openings and closings to come of what may be known of now, if only time moves. What opens or closes together with
     * what it lies in is told of by that alone.
     *
     * @return list<array{at: int, key: string, title: string, opens: bool, time: int}> in order; time counts the openings, or closings, of one item
     */
    public function dates(): array
    {
        $outline = $this->answer->decider->course->outline;
        $dates = $times = [];
        $before = null;
        foreach ($this->answer->chronicle() as $at => $answers) {
            $turned = [];
            foreach ($before === null ? [] : $answers->changedFrom($before) as $position) {
                $opens = $answers->decision($position)->state === State::Open;
                if ($before === null || $opens === ($before->decision($position)->state === State::Open) || $this->answer->state($position) === State::Hidden) {
                    continue;
                }
                $turned[$position] = $opens;
                if (($turned[$outline->parent[$position]] ?? null) !== $opens) {
                    $item = $outline->items[$position];
                    $what = $opens ? 'opens' : 'closes';
                    $time = $times[$item->key][$what] = ($times[$item->key][$what] ?? 0) + 1;
                    $dates[] = ['at' => $at, 'key' => $item->key, 'title' => $item->title ?? $item->key, 'opens' => $opens, 'time' => $time];
                }
            }
            $before = $answers;
        }

        return $dates;
    }

    /**
     * The same for a calendar: what closes together is one ending, and all that closes with the pass is its end.
     *
     * @return list<DateTurn> in order
     */
    public function turns(?Pass $pass): array
    {
        $turns = [];
        foreach ($this->dates() as ['at' => $at, 'key' => $key, 'title' => $title, 'opens' => $opens, 'time' => $time]) {
            $ending = ! $opens && $pass !== null && $at === $pass->until;
            $last = $opens ? null : $turns["closes {$at}"] ?? null;
            $turns[$opens ? "opens {$key} {$at}" : "closes {$at}"] = match (true) {
                $ending => new DateTurn($at, null, [], opens: false, ending: true, mark: ['ends', $pass->offer]),
                $last !== null => new DateTurn($at, $last->key, [...$last->titles, $title], opens: false, ending: false, mark: $last->mark),
                default => new DateTurn($at, $key, [$title], $opens, ending: false, mark: [$key, $opens ? 'opens' : 'closes', (string) $time]),
            };
        }

        return array_values($turns);
    }

    /** Seconds until something of what may be known of changes by time alone; null: nothing does within three weeks. */
    public function turnsIn(): ?int
    {
        $now = $this->answer->at;
        $next = null;
        foreach ($this->answer->decisions() as $decision) {
            if ($decision->state !== State::Hidden && $decision->next !== null) {
                $next = min($next ?? PHP_INT_MAX, $decision->next->at);
            }
        }

        return $next === null || $next - $now > 21 * 86400 ? null : $next - $now;
    }
}
