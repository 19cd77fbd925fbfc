<?php

declare(strict_types=1);

namespace App\Drafts;

use App\Models\Content;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;

/** What lessons are to hold waits in the draft of their course: there is one as long as something of it waits. */
final readonly class DraftOfContents
{
    /** To be called in the transaction that changed what is drafted of lessons. */
    public function __invoke(Course $course): void
    {
        $draft = Draft::query()->where('course_id', $course->id)->first();
        $now = Course::query()->with('liveRevision')->findOrFail($course->id);
        $document = $draft->document ?? $now->liveRevision?->document;
        // What a copy that was undone was given waits for nothing.
        $items = $document === null ? [] : CourseDocument::fromJson($document)->readItems();
        $waits = Content::query()->where('course_id', $course->id)->whereNotNull('drafted')->get(['id', 'item_key'])->contains(static fn (Content $content): bool => isset($items[$content->item_key]));
        if ($draft === null && $waits && $now->liveRevision !== null) {
            Draft::query()->create(['course_id' => $course->id, 'base_revision_id' => $now->live_revision_id, 'document' => $now->liveRevision->document, 'version' => $now->last_draft_version + 1]);
        } elseif ($draft !== null && ! $waits && $draft->edits()->doesntExist() && $draft->document === $now->liveRevision?->document) {
            Course::endDraft($draft);
        } elseif ($draft !== null && $draft->publish_at !== null) {
            // The time was set for what was drafted then.
            $draft->update(['publish_version' => null]);
        }
    }
}
