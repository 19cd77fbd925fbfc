<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Course;
use App\Models\Draft;
use App\Models\RehearsalRun;
use App\Models\Revision;
use Psr\Clock\ClockInterface;

/** Rehearsals as far as they have come: begun, gone on with in parts, and counted. */
final readonly class RehearsalRuns
{
    public function __construct(private ClockInterface $clock, private Rehearsal $rehearsal)
    {
    }

    /** One step of a rehearsal that is kept: null where there is nothing left to do. */
    public function step(int $runId, float $seconds): ?RehearsalRun
    {
        $run = RehearsalRun::query()->find($runId);
        if ($run === null || $run->finished_at !== null) {
            return null;
        }
        $proposal = $this->proposalOf($run);
        if ($proposal === null) {
            // It was edited or published meanwhile: nobody asks for this one any more.
            $run->delete();

            return null;
        }
        $from = [$run->phase, $run->last_id];
        $this->goOn($proposal, $run, $seconds);
        // Two may go on with the same one at once: what the slower has found is what the faster has kept already.
        RehearsalRun::query()->whereKey($run->id)->where('phase', $from[0])->where('last_id', $from[1])->whereNull('finished_at')->update($run->getDirty());

        return $run->refresh();
    }

    /** Not kept yet. */
    public function new(Proposal $proposal, ?int $setFor): RehearsalRun
    {
        $now = $this->clock->now()->getTimestamp();

        return new RehearsalRun([
            'course_id' => $proposal->course->id,
            'base_revision_id' => $proposal->base,
            'subject' => $proposal->subject,
            'instant' => $setFor ?? $now,
            'set_for' => $setFor,
            'made_at' => $now,
            'phase' => RehearsalCount::PEOPLE,
            'last_id' => 0,
            'looked' => 0,
            'of' => $this->rehearsal->of($proposal),
            'people' => RehearsalTally::none()->toJson(),
            'observers' => RehearsalTally::none()->toJson(),
            'finished_at' => null,
        ]);
    }

    /** For about so long. */
    public function goOn(Proposal $proposal, RehearsalRun $run, float $seconds): void
    {
        $count = self::countOf($run);
        $finished = $this->rehearsal->goOn($proposal, $run->instant->getTimestamp(), $count, $seconds);
        $run->fill([
            'phase' => $count->phase,
            'last_id' => $count->lastId,
            'looked' => $count->looked(),
            'of' => max($run->of, $count->looked()),
            'people' => $count->people->toJson(),
            'observers' => $count->observers->toJson(),
            'finished_at' => $finished ? $this->clock->now()->getTimestamp() : null,
        ]);
    }

    /** As far as it has come, in all its parts. */
    public static function countOf(RehearsalRun $run): RehearsalCount
    {
        $count = RehearsalCount::at($run->people, $run->observers, $run->phase, $run->last_id);
        foreach ($run->exists && $run->finished_at === null ? $run->parts : [] as $part) {
            ($part->phase === RehearsalCount::PEOPLE ? $count->people : $count->observers)->join(RehearsalTally::fromJson($part->tally));
        }

        return $count;
    }

    /** Null where it was edited or published meanwhile. */
    public function proposalOf(RehearsalRun $run): ?Proposal
    {
        $course = Course::query()->with('liveRevision')->find($run->course_id);
        if ($course === null || sscanf($run->subject, '%s %d', $kind, $number) !== 2) {
            return null;
        }
        if ($kind === 'draft') {
            $draft = Draft::query()->find($number);
            $proposal = $draft === null ? null : Proposal::draft($course, $draft);
        } else {
            $earlier = Revision::query()->where('course_id', $course->id)->where('number', $number)->first();
            $proposal = $earlier === null ? null : Proposal::backTo($course, $earlier);
        }

        return $proposal?->subject === $run->subject && $proposal->base === $run->base_revision_id && $course->live_revision_id === $run->base_revision_id ? $proposal : null;
    }
}
