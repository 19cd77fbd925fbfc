<?php

declare(strict_types=1);

namespace App\Actions;

use App\Keep\CourseDocument;
use App\Keep\Edits\Edit;
use App\Keep\Plans;
use App\Models\Course;
use App\Models\Draft;
use App\Models\DraftEdit;
use App\Models\Person;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes one edit in a course's draft. What learners see is not touched. */
final readonly class EditDraft
{
    public function __construct(private ClockInterface $clock, private Plans $plans, private Journal $journal)
    {
    }

    /**
     * @param  int  $version  of the draft that the editor saw; 0 where there was none
     *
     * @throws DraftConflict if somebody has changed the draft since
     * @throws \App\Keep\Edits\CannotEdit
     * @throws \SilentKeep\Core\Format\InvalidPlan if the document would no longer be valid
     */
    public function __invoke(Course $course, int $version, Edit $edit, Person $author): Draft
    {
        return DB::transaction(function () use ($course, $version, $edit, $author): Draft {
            $draft = self::current($course, $version);
            $before = CourseDocument::fromJson($draft->document);
            $after = $before->copy();
            $edit->applyTo($after);
            if ($after->equals($before)) {
                return $draft;
            }
            $this->plans->of($after);
            $draft->document = $after->toJson();
            $draft->version++;
            $draft->save();
            // From here on there is another way forward than the one that was undone.
            $draft->edits()->whereNotNull('undone_from')->delete();
            DraftEdit::query()->create([
                'draft_id' => $draft->id,
                'author_id' => $author->id,
                'change' => json_encode($edit->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'before' => $before->toJson(),
                'made_at' => $this->clock->now(),
            ]);
            $this->journal->note('draft.edited', $author, $course, after: $edit->toArray());

            return $draft;
        });
    }

    private static function current(Course $course, int $version): Draft
    {
        $draft = SeenDraft::of($course, $version);
        if ($draft !== null) {
            return $draft;
        }
        if ($version !== 0) {
            // What the editor saw has been published or thrown away.
            throw DraftConflict::changedMeanwhile();
        }
        $revision = $course->liveRevision()->first();

        return Draft::query()->create([
            'course_id' => $course->id,
            'base_revision_id' => $revision?->id,
            'document' => $revision->document ?? throw new \LogicException('A course has a revision or a draft.'),
            'version' => 0,
        ]);
    }
}
