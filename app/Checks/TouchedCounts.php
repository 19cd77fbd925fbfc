<?php

declare(strict_types=1);

namespace App\Checks;

use App\Access\Viewers;
use App\Counting\Counts;
use App\Counting\CountsPeople;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\PeopleCount;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Checks\TouchedPeople;

/** Whom findings touch: as far as it is counted, and counted in the queue where it is not. */
final readonly class TouchedCounts implements CountsPeople
{
    private const DRAFT = 'findings of the draft';

    private const LIVE = 'findings';

    /** Seconds for which what was counted holds. */
    private const HOLDS = 86400;

    public function __construct(private Surveys $surveys, private Viewers $viewers, private Counts $counts)
    {
    }

    /**
     * @param  bool  $draft  whether the findings are of the draft's rules
     * @param  list<Finding>  $findings
     */
    public function of(Course $course, bool $draft, array $findings): ?PeopleCount
    {
        return $findings === [] ? null : $this->counts->of($course, $draft ? self::DRAFT : self::LIVE, self::stamp($findings), self::HOLDS, self::class);
    }

    public function look(PeopleCount $count, Course $course, array $people): ?array
    {
        $json = $count->what === self::DRAFT ? $course->draft?->document : $course->liveRevision?->document;
        if ($json === null) {
            return null;
        }
        $survey = $this->surveys->of($course, CourseDocument::fromJson($json));
        $findings = Checks::findings($survey);
        if (self::stamp($findings) !== $count->stamp) {
            return null;
        }
        $touched = new TouchedPeople($survey, $findings);
        foreach ($this->viewers->each(array_fill_keys($people, false), $course) as $viewer) {
            $touched->look($viewer);
        }
        $counts = $count->result;
        foreach ($touched->counts() as $at => $number) {
            $digest = CourseFindings::digest($findings[$at]);
            $counts[$digest] = Value::int($counts[$digest] ?? 0) + $number;
        }

        return $counts;
    }

    /** @param  list<Finding>  $findings */
    private static function stamp(array $findings): string
    {
        return hash('xxh128', implode("\n", array_map(static fn (Finding $finding): string => CourseFindings::digest($finding).$finding->cause, $findings)));
    }
}
