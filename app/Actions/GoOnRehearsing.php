<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\CourseDocument;
use App\Keep\Rehearsal;
use App\Keep\RehearsalTally;
use App\Models\Course;
use App\Models\Draft;
use App\Models\RehearsalRun;
use Psr\Clock\ClockInterface;

/**
 * Rehearses a draft for as long as one request may take. What is not finished then is kept, and gone on with by
 * whoever asks next: a page that shows the progress, or one that is opened again after it was left.
 */
final readonly class GoOnRehearsing
{
    /** Seconds of one request. */
    private const PATIENCE = 1.5;

    /** Seconds for which a long rehearsal that is finished is shown again instead of being made anew. */
    private const FRESH = 600;

    public function __construct(private ClockInterface $clock, private Rehearsal $rehearsal)
    {
    }

    /**
     * @param  ?int  $setFor  instant for which a publication may be set; null: at once
     * @param  bool  $anew  not the one that is kept
     * @return RehearsalRun finished or not; kept only where it needs more than one request
     */
    public function __invoke(Course $course, Draft $draft, ?int $setFor, bool $anew = false, float $seconds = self::PATIENCE): RehearsalRun
    {
        $now = $this->clock->now()->getTimestamp();
        $run = $anew ? null : $this->kept($draft, $setFor, $now);
        $run ??= new RehearsalRun([
            'draft_id' => $draft->id,
            'version' => $draft->version,
            'base_revision_id' => $draft->base_revision_id,
            'instant' => $setFor ?? $now,
            'set_for' => $setFor,
            'last_person_id' => 0,
            'people' => 0,
            'of' => $this->rehearsal->count($course),
            'tally' => RehearsalTally::none()->toJson(),
            'finished_at' => null,
        ]);

        return $run->finished_at === null ? $this->step($course, $draft, $run, $seconds, $now) : $run;
    }

    private function kept(Draft $draft, ?int $setFor, int $now): ?RehearsalRun
    {
        $run = RehearsalRun::query()->where('draft_id', $draft->id)->where('version', $draft->version)->where('base_revision_id', $draft->base_revision_id)
            ->where('set_for', $setFor === null ? null : gmdate('Y-m-d H:i:s', $setFor))->latest('id')->first();
        if ($run === null) {
            return null;
        }
        $known = $run->finished_at ?? ($setFor === null ? $run->instant : null);

        return $known !== null && $known->getTimestamp() < $now - self::FRESH ? null : $run;
    }

    private function step(Course $course, Draft $draft, RehearsalRun $run, float $seconds, int $now): RehearsalRun
    {
        $live = $course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document);
        $tally = RehearsalTally::fromJson($run->tally);
        $from = $run->last_person_id;
        $reached = $this->rehearsal->goOn($course, $live, CourseDocument::fromJson($draft->document), $run->instant->getTimestamp(), $tally, $from, $seconds);
        $run->fill([
            'last_person_id' => $reached ?? $from,
            'people' => $tally->people,
            'of' => max($run->of, $tally->people),
            'tally' => $tally->toJson(),
            'finished_at' => $reached === null ? $now : null,
        ]);
        if (! $run->exists) {
            if ($reached !== null) {
                RehearsalRun::query()->where('draft_id', $draft->id)->delete();
                $run->save();
            }

            return $run;
        }
        // Two pages may go on with the same one at once: what the slower has found is what the faster has kept already.
        RehearsalRun::query()->whereKey($run->id)->where('last_person_id', $from)->whereNull('finished_at')->update($run->getDirty());

        return RehearsalRun::query()->find($run->id) ?? $run;
    }
}
