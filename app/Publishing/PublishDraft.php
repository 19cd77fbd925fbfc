<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Drafts\DraftConflict;
use App\Drafts\SeenDraft;
use App\Models\Course;
use App\Models\Person;
use App\Models\Revision;
use App\Publishing\Seen\Losses;
use App\Words\Sentence;

/** Makes the draft live, as a new revision, in one step. */
final readonly class PublishDraft
{
    public function __construct(private PublishRevision $publish, private Losses $losses)
    {
    }

    /**
     * @param  int  $version  of the draft that the editor saw
     * @param  ?string  $receipt  of the rehearsal that they were shown
     * @return array{Revision, list<Sentence>} the revision, and what it changes
     *
     * @throws DraftConflict if the draft is another one by now, says nothing new, or takes something away from
     *                       people and its rehearsal was not shown
     */
    public function __invoke(Course $course, int $version, ?string $receipt, ?string $note, Person $author): array
    {
        $proposal = Proposal::draft($course, SeenDraft::of($course, $version) ?? throw DraftConflict::nothingToPublish());
        $shown = $this->losses->refuseUnseen($proposal, null, $receipt, $author);

        return ($this->publish)($proposal, $note, $author, $shown);
    }
}
