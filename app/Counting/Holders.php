<?php

declare(strict_types=1);

namespace App\Counting;

use App\Models\Course;
use App\Models\Pass;
use Illuminate\Database\Query\Builder;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Viewing\PassState;

/** Who holds a pass of a course now, or did since an instant. */
final readonly class Holders
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /**
     * Whom something is counted on.
     *
     * @param  string  $what  as the count is called
     */
    public function by(CountsPeople $by, string $what, Course $course): Builder
    {
        return $by instanceof CountsWhom ? $by->whom($what, $course) : $this->of($course, $by instanceof CountsPeopleSince ? $by->since($what) : null);
    }

    /**
     * Rows of passes; a person may have several.
     *
     * @param  ?int  $since  instant; null: those who hold one now
     */
    public function of(Course $course, ?int $since = null): Builder
    {
        $now = $this->clock->now()->getTimestamp();
        $stored = static fn (int $at): string => gmdate('Y-m-d H:i:s', $at);

        return Pass::query()->toBase()->where('course_id', $course->id)->where('state', PassState::Active->value)->where('starts_at', '<=', $stored($now))
            ->where(static fn (Builder $query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $stored($since ?? $now)));
    }
}
