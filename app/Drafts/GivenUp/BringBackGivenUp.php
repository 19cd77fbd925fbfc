<?php

declare(strict_types=1);

namespace App\Drafts\GivenUp;

use App\Drafts\DraftConflict;
use App\Drafts\EditDraft;
use App\Drafts\Edits\PutPlan;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\GivenUp;
use App\Models\Person;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes what was given up the draft again, in the place of what is there, as one edit that can be undone. */
final readonly class BringBackGivenUp
{
    public function __construct(private EditDraft $edit, private Dispatcher $events, private ClockInterface $clock)
    {
    }

    /**
     * @param  int  $version  of the draft that the author saw; 0 where there was none
     *
     * @throws \App\Drafts\DraftCollision if somebody else has edited it since
     * @throws DraftConflict if it is not kept any more, or something else has been published since
     * @throws \App\Drafts\Edits\CannotEdit
     * @throws \SilentKeep\Core\Format\InvalidPlan
     */
    public function __invoke(Course $course, int $id, int $version, Person $author): void
    {
        $kept = self::kept($course, $this->clock->now()->getTimestamp())->whereKey($id)->first() ?? throw DraftConflict::notKept();
        if ($kept->base_revision_id !== $course->live_revision_id) {
            throw DraftConflict::publishedSinceGivenUp();
        }
        $done = false;
        $contents = function () use ($course, $kept, $author, &$done): void {
            if (GivenUp::query()->whereKey($kept->id)->delete() > 0) {
                $this->events->dispatch(new DraftBroughtBack($course, $kept->contents, $author));
            }
            $done = true;
        };
        ($this->edit)($course, $version, new PutPlan(CourseDocument::fromJson($kept->document)), $author, $contents);
        if (! $done) {
            // The rules are as they were: there is no edit to be made.
            DB::transaction($contents);
        }
    }

    /** @return Builder<GivenUp> of a course, as long as it can be brought back */
    public static function kept(Course $course, int $now): Builder
    {
        return GivenUp::query()->where('course_id', $course->id)->where('made_at', '>=', gmdate('Y-m-d H:i:s', $now - KeepGivenUp::HOURS * 3600));
    }
}
