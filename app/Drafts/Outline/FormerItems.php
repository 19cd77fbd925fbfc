<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\FormerItem;

/** What a publication takes out of a course, and what it brings back. */
final readonly class FormerItems
{
    /** Keys in one statement. */
    private const MANY = 200;

    /**
     * @param  list<string>  $out  keys of what is taken out
     * @param  list<string>  $in  of what was not there before
     */
    private function __construct(private array $out, private array $in)
    {
    }

    public static function between(?CourseDocument $live, CourseDocument $document): self
    {
        $before = $live?->readItems() ?? [];
        $after = $document->readItems();

        // Keys that are digits alone come out of an array as numbers.
        return new self(array_map(strval(...), array_keys(array_diff_key($before, $after))), array_map(strval(...), array_keys(array_diff_key($after, $before))));
    }

    /** To be called in the transaction that publishes. */
    public function keep(Course $course, \DateTimeImmutable $now): void
    {
        foreach (array_chunk($this->in, self::MANY) as $keys) {
            FormerItem::query()->where('course_id', $course->id)->whereIn('item_key', $keys)->delete();
        }
        foreach (array_chunk($this->out, self::MANY) as $keys) {
            FormerItem::query()->upsert(array_map(static fn (string $key): array => ['course_id' => $course->id, 'item_key' => $key, 'taken_out_at' => $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s')], $keys), ['course_id', 'item_key'], ['taken_out_at']);
        }
    }
}
