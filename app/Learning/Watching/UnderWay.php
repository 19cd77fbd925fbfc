<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\Person;
use App\Models\QuizTry;
use App\Models\WatchRecord;
use App\Words\Say;

/** What somebody has begun to watch or to answer, and has not finished: what they mean who say that they have done it. */
final readonly class UnderWay
{
    public function __construct(private CourseShelf $shelf, private SchoolClock $clock)
    {
    }

    /**
     * @param  array<int, array<array-key, int>>  $done  by course: instants by item
     * @return array<int, list<string>> by course, in words
     */
    public function of(Person $person, array $done): array
    {
        $lines = [];
        foreach (WatchRecord::query()->where('person_id', $person->id)->orderBy('id')->get() as $record) {
            if (! isset($done[$record->course_id][$record->item_key])) {
                $share = (int) floor(Watching::of($record)->coverage->share() * 100 + 1e-9);
                $lines[$record->course_id][] = Say::text('learner.under_way.watched', [
                    'item' => $this->shelf->itemTitle($record->course_id, $record->item_key), 'share' => $share, 'at' => $this->clock->words($record->heard_at->getTimestamp()),
                ]);
            }
        }
        $tries = QuizTry::query()->where('person_id', $person->id)->orderBy('id')->get();
        foreach ($tries->groupBy(static fn (QuizTry $try): string => "{$try->course_id} {$try->item_key}") as $of) {
            $last = $of->last();
            if ($last !== null && ! isset($done[$last->course_id][$last->item_key])) {
                $best = (int) floor(Value::float($of->max('score')) * 100 + 1e-9);
                $lines[$last->course_id][] = Say::text('learner.under_way.tried', [
                    'item' => $this->shelf->itemTitle($last->course_id, $last->item_key), 'best' => $best, 'tries' => $of->count(), 'at' => $this->clock->words($last->tried_at->getTimestamp()),
                ]);
            }
        }

        return $lines;
    }
}
