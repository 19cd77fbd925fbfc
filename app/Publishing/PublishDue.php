<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\SchoolClock;
use App\Access\Staff\StaffCourses;
use App\Drafts\DraftConflict;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\Models\Revision;
use App\Publishing\Seen\Losses;
use App\Publishing\Seen\Shown;
use App\School\Log\ActivityLog;
use App\Words\Say;
use Psr\Clock\ClockInterface;
use SilentKeep\Core\Format\InvalidPlan;

/** Publishes each draft whose time has come, as it was when the time was set; where that does not go, the draft says why. */
final readonly class PublishDue
{
    public function __construct(private ClockInterface $clock, private SchoolClock $words, private PublishRevision $publish, private Losses $losses, private ActivityLog $log, private StaffCourses $staff)
    {
    }

    /** @return list<array{course: string, revision: ?int, refused: ?string}> one for each draft that was due */
    public function __invoke(): array
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp());
        $outcomes = [];
        foreach (Draft::query()->whereNotNull('publish_at')->where('publish_at', '<=', $now)->orderBy('publish_at')->orderBy('id')->get() as $draft) {
            $course = Course::query()->with('liveRevision')->findOrFail($draft->course_id);
            try {
                $outcomes[] = ['course' => $course->key, 'revision' => $this->publish($course, $draft)->number, 'refused' => null];
            } catch (DraftConflict|InvalidPlan $e) {
                $outcomes[] = ['course' => $course->key, 'revision' => null, 'refused' => $this->refuse($course, $draft, $e->getMessage())];
            }
        }

        return $outcomes;
    }

    /** @throws DraftConflict|InvalidPlan */
    private function publish(Course $course, Draft $draft): Revision
    {
        $author = Person::query()->find($draft->publish_by);
        if ($author === null || ! $this->staff->mayEdit($author, $course)) {
            throw DraftConflict::mayNotPublish($author?->name);
        }
        if ($draft->version !== $draft->publish_version) {
            throw DraftConflict::changedSinceSet();
        }

        $proposal = Proposal::draft($course, $draft);
        // Whoever set the time was shown whom it takes something from at that time; what nobody was shown does not happen by itself.
        if ($proposal->live !== null && ! $draft->publish_losses_seen && ($losers = $this->losses->count($proposal)) > 0) {
            throw DraftConflict::rehearseFirst($losers);
        }

        $shown = $draft->publish_rehearsed_at === null || $draft->publish_at === null ? null : new Shown($draft->publish_rehearsed_at->getTimestamp(), $draft->publish_at->getTimestamp());

        return ($this->publish)($proposal, $draft->publish_note, $author, $shown)[0];
    }

    private function refuse(Course $course, Draft $draft, string $why): string
    {
        $said = $draft->publish_at === null ? $why : Say::text('published.publish_due.was_go_live_when', ['when' => $this->words->words($draft->publish_at->getTimestamp()), 'why' => $why]);
        // The edit that stands in its way may come at this very moment; that stays as it is.
        Draft::query()->whereKey($draft->id)->update(['publish_at' => null, 'publish_version' => null, 'publish_by' => null, 'publish_note' => null, 'publish_refused' => $said]);
        $this->log->note('publication.refused', null, $course, after: ['why' => $why]);

        return $said;
    }
}
