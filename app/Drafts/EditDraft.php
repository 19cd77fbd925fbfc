<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Access\Plans;
use App\Drafts\Edits\Aspects;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Drafts\GivenUp\KeepGivenUp;
use App\Drafts\Outline\DuplicateItem;
use App\Drafts\Outline\ItemsCopied;
use App\Drafts\Outline\TakenKeys;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\DraftEdit;
use App\Models\Person;
use App\School\Log\ActivityLog;
use App\Words\Differences;
use Illuminate\Contracts\Events\Dispatcher;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Makes one edit in a course's draft. What learners see is not touched. */
final readonly class EditDraft
{
    public function __construct(private ClockInterface $clock, private Plans $plans, private ActivityLog $log, private Dispatcher $events, private KeepGivenUp $keep)
    {
    }

    /** So often is it reckoned again where somebody else was faster. */
    private const TRIES = 20;

    /** Seconds within which the same, asked for from the same version, is the same click. */
    private const CLICKS = 10;

    /**
     * What others have set meanwhile stays, as long as it is not what this edit sets. It is reckoned before the lock is
     * taken; where the draft has changed by then, it is reckoned again.
     *
     * @param  int  $version  of the draft that the editor saw; 0 where there was none
     * @param  ?\Closure(): void  $within  what belongs to it, done in the same transaction
     *
     * @throws DraftCollision if somebody else has set the same since
     * @throws DraftConflict if what the editor saw has been published or thrown away
     * @throws \App\Drafts\Edits\CannotEdit
     * @throws \SilentKeep\Core\Format\InvalidPlan if the document would no longer be valid
     */
    public function __invoke(Course $course, int $version, Edit $edit, Person $author, ?\Closure $within = null): MadeEdit
    {
        for ($try = 0; $try < self::TRIES; $try++) {
            $draft = self::current($course, $version);
            $taken = TakenKeys::of($course);
            $before = CourseDocument::fromJson($draft->document);
            $after = self::with($edit, $before, $taken);
            if ($after->equals($before)) {
                return new MadeEdit($draft);
            }
            if ($this->isDone($draft, $version, $edit, $author)) {
                return new MadeEdit($draft);
            }
            $seen = DraftPast::at($draft, $version);
            if ($seen === null || self::collides($edit, $seen, $before, $after, $taken)) {
                $past = DraftPast::since($draft, $version);
                throw new DraftCollision($past['who'], $past['who'] === $author->name, $past['sentences'], Differences::between($before, $after)->sentences);
            }
            $past = DraftPast::since($draft, $version, $author);
            $this->plans->of($after);
            if (DB::transaction(fn (): bool => $this->write($draft, $course, $before->toJson(), $after, $edit, $author, $within))) {
                return new MadeEdit($draft, $past['sentences'], $past['who']);
            }
        }
        throw DraftConflict::changedMeanwhile();
    }

    /** Whether it is the second click: made by the same editor, from what they saw, a moment ago. Of what is added there would be two. */
    private function isDone(Draft $draft, int $version, Edit $edit, Person $author): bool
    {
        return $draft->exists && $draft->version > $version && DraftEdit::query()->where('draft_id', $draft->id)->where('version', '>', $version)->where('author_id', $author->id)->whereNull('undone_from')
            ->where('change', self::json($edit))->where('made_at', '>=', gmdate('Y-m-d H:i:s', $this->clock->now()->getTimestamp() - self::CLICKS))->exists();
    }

    private static function json(Edit $edit): string
    {
        return json_encode($edit->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }

    /** @return bool false where it is not the draft any more that it was reckoned from */
    private function write(Draft $draft, Course $course, string $before, CourseDocument $after, Edit $edit, Person $author, ?\Closure $within): bool
    {
        if ($draft->exists) {
            $there = Draft::query()->whereKey($draft->id)->where('version', $draft->version)->exists();
        } else {
            $there = Draft::query()->where('course_id', $course->id)->doesntExist()
                && Course::query()->whereKey($course->id)->where('live_revision_id', $draft->base_revision_id)->where('last_draft_version', $draft->version)->exists();
        }
        if (! $there) {
            return false;
        }
        $draft->document = $after->toJson();
        $draft->version++;
        $draft->save();
        // From here on there is another way forward than the one that was undone.
        $this->keep->ofUndone($draft, $author);
        $draft->edits()->whereNotNull('undone_from')->delete();
        DraftEdit::query()->create([
            'draft_id' => $draft->id,
            'author_id' => $author->id,
            'change' => self::json($edit),
            'before' => $before,
            'version' => $draft->version,
            'made_at' => $this->clock->now(),
        ]);
        $this->log->note('draft.edited', $author, $course, after: $edit->toArray());
        if ($edit instanceof DuplicateItem) {
            $this->events->dispatch(new ItemsCopied($course, $edit->copies($after), $author));
        }
        if ($within !== null) {
            $within();
        }

        return true;
    }

    /**
     * @param  array<array-key, mixed>  $taken  keys that no new item may get
     *
     * @throws \App\Drafts\Edits\CannotEdit
     */
    private static function with(Edit $edit, CourseDocument $document, array $taken): CourseDocument
    {
        $after = $document->copy();
        $after->keepFree($taken);
        $edit->applyTo($after);

        return $after;
    }

    /**
     * Whether an edit sets what somebody else has set since the editor looked.
     *
     * @param  CourseDocument  $seen  what the editor saw
     * @param  CourseDocument  $present  what others have made of it
     * @param  CourseDocument  $after  what the edit would make of that
     * @param  array<array-key, mixed>  $taken  keys that no new item may get
     */
    private static function collides(Edit $edit, CourseDocument $seen, CourseDocument $present, CourseDocument $after, array $taken): bool
    {
        try {
            $meant = Aspects::changed($seen, self::with($edit, $seen, $taken));
        } catch (CannotEdit) {
            return true;
        }

        // What it would set beyond what its editor meant would take back what others have set.
        return array_intersect($meant, Aspects::changed($seen, $present)) !== [] || array_diff(Aspects::changed($present, $after), $meant) !== [];
    }

    private static function current(Course $course, int $version): Draft
    {
        $draft = Draft::query()->where('course_id', $course->id)->first();
        if ($draft !== null && $draft->version >= $version) {
            return $draft;
        }
        if ($draft !== null || $version !== 0) {
            // What the editor saw has been published or thrown away.
            throw DraftConflict::changedMeanwhile();
        }
        $now = Course::query()->with('liveRevision')->findOrFail($course->id);

        return new Draft([
            'course_id' => $course->id,
            'base_revision_id' => $now->live_revision_id,
            'document' => $now->liveRevision->document ?? throw new \LogicException('A course has a revision or a draft.'),
            'version' => $now->last_draft_version,
        ]);
    }
}
