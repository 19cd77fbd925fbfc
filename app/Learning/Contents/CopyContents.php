<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Models\Content;
use App\Models\Course;
use App\Models\Medium;
use App\Models\Person;
use App\Models\RelatedOffer;
use App\School\Log\ActivityLog;

/** Copies of items hold what the items do, as it is worked on: drafted, for they go live with the draft of their course. */
final readonly class CopyContents
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * To be called inside the transaction that makes the copies.
     *
     * @param  array<array-key, string>  $copies  the key of the copy, by that of the item
     */
    public function __invoke(Course $course, array $copies, Person $author): void
    {
        // Keys that are digits alone come out of an array as numbers.
        $keys = array_map(strval(...), array_keys($copies));
        $there = Content::query()->where('course_id', $course->id)->whereIn('item_key', $copies)->get()->keyBy('item_key');
        foreach (Content::query()->where('course_id', $course->id)->whereIn('item_key', $keys)->orderBy('id')->get() as $content) {
            $to = $copies[$content->item_key];
            // One may be left of a copy that was undone, or of an item of that key that was taken out.
            $copy = $there[$to] ?? WriteContent::begun($course, $to);
            $copy->fill(['drafted' => $content->drafted ?? Written::of($content)->columns(), 'drafted_version' => ($copy->drafted_version ?? 0) + 1])->save();
            $this->log->note('content.drafted', $author, $course, after: ['item' => $to, 'copied' => $content->item_key]);
        }
        $this->media($course, $copies, $keys);
        $this->related($course, $copies, $keys);
    }

    /**
     * The files are shared: what is in them does not change.
     *
     * @param  array<array-key, string>  $copies
     * @param  list<string>  $keys
     */
    private function media(Course $course, array $copies, array $keys): void
    {
        $has = Medium::query()->where('course_id', $course->id)->whereIn('item_key', $copies)->get(['item_key', 'path'])->map(static fn (Medium $medium): string => "{$medium->item_key} {$medium->path}")->flip();
        foreach (Medium::query()->where('course_id', $course->id)->whereIn('item_key', $keys)->orderBy('position')->orderBy('id')->get() as $medium) {
            $to = $copies[$medium->item_key];
            if (! $has->has("{$to} {$medium->path}")) {
                $medium->replicate()->fill(['item_key' => $to])->save();
            }
        }
    }

    /**
     * @param  array<array-key, string>  $copies
     * @param  list<string>  $keys
     */
    private function related(Course $course, array $copies, array $keys): void
    {
        $has = RelatedOffer::query()->where('course_id', $course->id)->whereIn('item_key', $copies)->pluck('item_key')->flip();
        foreach (RelatedOffer::query()->where('course_id', $course->id)->whereIn('item_key', $keys)->orderBy('id')->get() as $related) {
            if (! $has->has($copies[$related->item_key])) {
                $related->replicate()->fill(['item_key' => $copies[$related->item_key], 'version' => 1])->save();
            }
        }
    }
}
