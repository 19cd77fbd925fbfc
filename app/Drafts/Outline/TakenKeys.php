<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Models\Content;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\FormerItem;
use App\Models\Medium;

/**
 * Keys that no new item of a course may get, whatever the draft says: what people have finished, and what is kept of what
 * was taken out, belongs to the item that had the key.
 */
final class TakenKeys
{
    private function __construct()
    {
    }

    /** @return array<array-key, mixed> by key; those in the draft itself are not among them */
    public static function of(Course $course): array
    {
        $kept = FormerItem::query()->where('course_id', $course->id)->select('item_key')
            ->union(Content::query()->where('course_id', $course->id)->select('item_key'))
            ->union(Medium::query()->where('course_id', $course->id)->select('item_key'))
            ->toBase()->pluck('item_key');

        return array_fill_keys(array_filter($kept->all(), is_string(...)), true) + ($course->liveRevision === null ? [] : CourseDocument::fromJson($course->liveRevision->document)->readItems());
    }
}
