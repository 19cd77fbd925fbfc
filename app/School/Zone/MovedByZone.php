<?php

declare(strict_types=1);

namespace App\School\Zone;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\Shelf\CourseShelf;
use App\Counting\CountedImpact;
use App\Counting\Counts;
use App\Counting\CountsPeople;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\PeopleCount;
use SilentKeep\Core\Foresight\Impact;

/** Whom it touches that the school reads its rules in another zone: counted in each course on all who hold a pass of it. */
final readonly class MovedByZone implements CountsPeople
{
    /** Seconds for which what was counted holds, people coming, going and finishing. */
    private const HOLDS = 600;

    /** Seconds that are looked ahead. */
    private const AHEAD = 365 * 86400;

    public function __construct(private CourseShelf $shelf, private Plans $plans, private SchoolClock $clock, private SchoolOf $school, private Counts $counts, private CountedImpact $impact)
    {
    }

    /** @return list<array{string, PeopleCount}> with the title of each course */
    public function of(string $zone): array
    {
        $stamps = $this->plans->stamps();
        $courses = array_map(static fn (array $one): Course => $one[0], $this->shelf->all());
        $counts = $this->counts->all(array_values(array_map(static fn (Course $course): array => [$course, hash('xxh128', $stamps[$course->id] ?? '')], $courses)), "zone {$zone}", self::HOLDS, self::class);

        return array_values(array_map(fn (Course $course): array => [$this->shelf->title($course->id), $counts[$course->id]], $courses));
    }

    /** Seconds by which what the rules say comes later than now, where both zones have the offset that they have at present; negative: sooner. */
    public function later(string $zone): int
    {
        $now = new \DateTimeImmutable('@'.$this->clock->now());
        $offset = static fn (string $of): int => $now->setTimezone(new \DateTimeZone($of))->getOffset();

        return $offset(($this->school)()->zone) - $offset($zone);
    }

    public function look(PeopleCount $count, Course $course, array $people): ?array
    {
        $json = $course->liveRevision?->document;
        if ($json === null) {
            return null;
        }
        $document = CourseDocument::fromJson($json);
        $now = $this->clock->now();
        $impact = new Impact($this->plans->read($document), $this->plans->inZone($document, substr($count->what, strlen('zone '))), $course->key, $now, $now + self::AHEAD);

        return $this->impact->add($count->result, $impact, $course, $people);
    }
}
