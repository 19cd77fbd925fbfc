<?php

declare(strict_types=1);

namespace App\Checks;

use App\Models\Course;
use App\Models\FindingCount;
use SilentKeep\Core\Checks\Finding;

/** Whom findings touch: as far as it is counted, and counted in the queue where it is not. */
final readonly class Counting
{
    public function __construct(private TouchedCounts $counts)
    {
    }

    /**
     * @param  bool  $draft  whether the findings are of the draft's rules
     * @param  list<Finding>  $findings
     */
    public function of(Course $course, bool $draft, array $findings): ?FindingCount
    {
        if ($findings === []) {
            return null;
        }
        $count = $this->counts->of($course, $draft, $findings);
        if ($count === null) {
            $count = $this->counts->begin($course, $draft, $findings);
            CountTouched::dispatch($count->id, $count->stamp);
            $count->refresh();
        }

        return $count;
    }
}
