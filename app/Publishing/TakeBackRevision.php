<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Drafts\DraftConflict;
use App\Models\Course;
use App\Models\Person;
use App\Models\Revision;
use App\Publishing\Seen\Losses;
use App\Words\Say;
use App\Words\Sentence;

/** Makes the rules of an earlier revision live again, as a new revision. A draft keeps what it says, and has to be rehearsed anew. */
final readonly class TakeBackRevision
{
    public function __construct(private PublishRevision $publish, private Losses $losses)
    {
    }

    /**
     * @param  int  $live  number of the revision that is live as far as the editor saw
     * @param  ?string  $receipt  of the rehearsal that they were shown
     * @return array{Revision, list<Sentence>} the new revision, and what it changes
     *
     * @throws DraftConflict if another one is live by now, the two say the same, or it takes something away from people
     *                       and its rehearsal was not shown
     */
    public function __invoke(Course $course, int $live, int $number, ?string $receipt, ?string $note, Person $author): array
    {
        $earlier = Revision::query()->where('course_id', $course->id)->where('number', $number)->first();
        if ($earlier === null || $course->liveRevision?->number !== $live) {
            throw DraftConflict::publishedMeanwhile();
        }
        $proposal = Proposal::backTo($course, $earlier);
        $shown = $this->losses->refuseUnseen($proposal, null, $receipt, $author);

        return ($this->publish)($proposal, $note ?? Say::text('published.take_back_revision.back_to_revision_number', ['number' => $earlier->number]), $author, $shown);
    }
}
