<?php

declare(strict_types=1);

namespace App\Counting;

use App\Models\Course;
use App\Models\Pass;
use Illuminate\Database\Query\Builder;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Viewing\PassState;

/** Who holds a pass of a course now. */
final readonly class Holders
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** Rows of passes; a person may have several. */
    public function of(Course $course): Builder
    {
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');

        return Pass::query()->toBase()->where('course_id', $course->id)->where('state', PassState::Active->value)->where('starts_at', '<=', $now)
            ->where(static fn (Builder $query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now));
    }
}
