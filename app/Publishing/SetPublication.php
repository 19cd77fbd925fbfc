<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\Plans;
use App\Drafts\DraftConflict;
use App\Drafts\SeenDraft;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\Publishing\Seen\Losses;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Sets the time at which the draft, as it is now, goes live by itself; or takes that back. */
final readonly class SetPublication
{
    public function __construct(private ClockInterface $clock, private Plans $plans, private Losses $losses, private ActivityLog $log)
    {
    }

    /**
     * @param  int  $version  of the draft that the editor saw
     * @param  int  $at  instant
     * @param  ?string  $receipt  of the rehearsal for that instant that they were shown
     *
     * @throws DraftConflict if the draft is another one by now, says nothing new, takes something away from people and
     *                       its rehearsal was not shown, or the time is over already
     */
    public function __invoke(Course $course, int $version, int $at, ?string $receipt, ?string $note, Person $author): void
    {
        $draft = SeenDraft::of($course, $version) ?? throw DraftConflict::nothingToPublish();
        $proposal = Proposal::draft($course, $draft);
        if ($proposal->saysNothingNew()) {
            throw DraftConflict::nothingToPublish();
        }
        if ($at <= $this->clock->now()->getTimestamp()) {
            throw DraftConflict::timeIsOver();
        }
        $this->plans->of($proposal->document);
        $shown = $this->losses->refuseUnseen($proposal, $at, $receipt, $author);
        DB::transaction(function () use ($course, $draft, $at, $note, $author, $shown): void {
            $set = Draft::query()->whereKey($draft->id)->where('version', $draft->version)->update([
                'publish_at' => gmdate('Y-m-d H:i:s', $at), 'publish_version' => $draft->version, 'publish_by' => $author->id, 'publish_note' => $note,
                'publish_losses_seen' => $shown !== null, 'publish_rehearsed_at' => $shown === null ? null : gmdate('Y-m-d H:i:s', $shown->madeAt), 'publish_refused' => null,
            ]);
            if ($set !== 1) {
                throw DraftConflict::changedMeanwhile();
            }
            $this->log->note('publication.set', $author, $course, after: ['at' => gmdate('Y-m-d\TH:i:s\Z', $at), 'version' => $draft->version]);
        });
    }

    /** Also lets go of the note of why an earlier one did not take place. */
    public function takeBack(Course $course, Person $author): void
    {
        DB::transaction(function () use ($course, $author): void {
            $draft = Draft::query()->where('course_id', $course->id)->first();
            if ($draft?->publish_at !== null) {
                $this->log->note('publication.unset', $author, $course, before: ['at' => $draft->publish_at->format('Y-m-d\TH:i:s\Z')]);
            }
            $draft?->fill(['publish_at' => null, 'publish_version' => null, 'publish_by' => null, 'publish_note' => null, 'publish_refused' => null])->save();
        });
    }
}
