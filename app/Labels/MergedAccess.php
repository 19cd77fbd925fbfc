<?php

declare(strict_types=1);

namespace App\Labels;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Counting\CountedImpact;
use App\Counting\Counts;
use App\Counting\CountsPeople;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\PeopleCount;
use SilentKeep\Core\Foresight\Impact;

/** Whom it touches that two labels become one: counted, in each course whose rules ask for either, on all who hold a pass of it. */
final readonly class MergedAccess implements CountsPeople
{
    /** Seconds for which what was counted holds, people coming, going and finishing. */
    private const HOLDS = 600;

    /** Seconds that are looked ahead. */
    private const AHEAD = 365 * 86400;

    public function __construct(private LabelUses $uses, private CourseShelf $shelf, private Plans $plans, private SchoolClock $clock, private Counts $counts, private CountedImpact $impact)
    {
    }

    /** @return list<array{string, PeopleCount}> with the title of each course */
    public function of(string $from, string $to): array
    {
        $stamps = $this->plans->stamps();
        $courses = [];
        foreach ($this->uses->askedForIn([$from, $to]) as $id) {
            $course = $this->shelf->course($id);
            if ($course !== null) {
                $courses[$id] = [$course, hash('xxh128', $stamps[$id] ?? '')];
            }
        }
        $counts = $this->counts->all(array_values($courses), 'labels '.json_encode([$from, $to], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), self::HOLDS, self::class);

        return array_map(fn (int $id): array => [$this->shelf->title($id), $counts[$id]], array_keys($courses));
    }

    public function look(PeopleCount $count, Course $course, array $people): ?array
    {
        $labels = json_decode(substr($count->what, strlen('labels ')), true);
        $json = $course->liveRevision?->document;
        if ($json === null || ! is_array($labels)) {
            return null;
        }
        $before = CourseDocument::fromJson($json);
        $now = $this->clock->now();
        $after = $before->copy();
        $after->labels()->join(array_values(array_filter($labels, is_string(...))));

        return $this->impact->add($count->result, new Impact($this->plans->read($before), $this->plans->read($after), $course->key, $now, $now + self::AHEAD), $course, $people);
    }
}
