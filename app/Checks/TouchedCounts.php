<?php

declare(strict_types=1);

namespace App\Checks;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\FindingCount;
use App\Models\Pass;
use Illuminate\Database\Query\Builder;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\TouchedPeople;
use SilentKeep\Core\Viewing\PassState;

/** Whom findings touch, counted in groups and kept, so that another worker can go on. */
final readonly class TouchedCounts
{
    private const GROUP = 500;

    /** Seconds for which what was counted holds, people coming and going. */
    private const HOLDS = 86400;

    public function __construct(private Surveys $surveys, private Viewers $viewers, private SchoolClock $clock, private ClockInterface $instants)
    {
    }

    /**
     * What is counted of these findings.
     *
     * @param  list<Finding>  $findings
     */
    public function of(Course $course, bool $draft, array $findings): ?FindingCount
    {
        $count = FindingCount::query()->where('course_id', $course->id)->where('draft', $draft)->first();

        return $count?->stamp === self::stamp($findings) && $count->began_at->getTimestamp() > $this->clock->now() - self::HOLDS ? $count : null;
    }

    /**
     * Begins to count them anew.
     *
     * @param  list<Finding>  $findings
     */
    public function begin(Course $course, bool $draft, array $findings): FindingCount
    {
        $of = $this->holders($course)->distinct()->count('person_id');

        return FindingCount::query()->updateOrCreate(['course_id' => $course->id, 'draft' => $draft], [
            'stamp' => self::stamp($findings), 'counts' => [], 'looked' => 0, 'of' => $of, 'reached' => 0, 'began_at' => $this->instants->now(), 'finished_at' => null,
        ])->refresh();
    }

    /** One more group. False where there is nothing left to be done, or the rules have changed meanwhile. */
    public function step(int $id, string $stamp): bool
    {
        $count = FindingCount::query()->find($id);
        $course = $count === null ? null : Course::query()->find($count->course_id);
        $document = $count === null || $course === null ? null : self::document($course, $count->draft);
        if ($count === null || $course === null || $document === null || $count->stamp !== $stamp || $count->finished_at !== null) {
            return false;
        }
        $survey = $this->surveys->of($course, $document);
        $findings = Checks::findings($survey);
        if (self::stamp($findings) !== $stamp) {
            return false;
        }
        $ids = $this->holders($course)->where('person_id', '>', $count->reached)->orderBy('person_id')->distinct()->limit(self::GROUP)->pluck('person_id')->map(Value::int(...))->all();
        $touched = new TouchedPeople($survey, $findings);
        foreach ($this->viewers->each(array_fill_keys($ids, false), $course) as $viewer) {
            $touched->look($viewer);
        }
        $counts = $count->counts;
        foreach ($touched->counts() as $at => $people) {
            $digest = CourseFindings::digest($findings[$at]);
            $counts[$digest] = ($counts[$digest] ?? 0) + $people;
        }
        $done = count($ids) < self::GROUP;
        // Only if nobody has counted this group meanwhile.
        FindingCount::query()->whereKey($id)->where('stamp', $stamp)->where('reached', $count->reached)->update([
            'counts' => json_encode($counts, JSON_THROW_ON_ERROR), 'looked' => $count->looked + count($ids), 'reached' => $ids === [] ? $count->reached : max($ids), 'finished_at' => $done ? $this->instants->now()->format('Y-m-d H:i:s') : null,
        ]);

        return ! $done;
    }

    /** @param  list<Finding>  $findings */
    private static function stamp(array $findings): string
    {
        return hash('xxh128', implode("\n", array_map(static fn (Finding $finding): string => CourseFindings::digest($finding).$finding->cause, $findings)));
    }

    private static function document(Course $course, bool $draft): ?CourseDocument
    {
        $json = $draft ? $course->draft?->document : $course->liveRevision?->document;

        return $json === null ? null : CourseDocument::fromJson($json);
    }

    /** Passes that may be active now, of the offers of the course. */
    private function holders(Course $course): Builder
    {
        $now = $this->instants->now()->format('Y-m-d H:i:s');

        return Pass::query()->toBase()->where('course_id', $course->id)->where('state', PassState::Active->value)->where('starts_at', '<=', $now)->where(static fn (Builder $query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now));
    }
}
