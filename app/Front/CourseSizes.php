<?php

declare(strict_types=1);

namespace App\Front;

/** What the items of a course take. */
final readonly class CourseSizes
{
    /** @param  array<array-key, LessonSize>  $sizes  by item; those that hold nothing are left out */
    public function __construct(public array $sizes)
    {
    }

    public function of(string $item): LessonSize
    {
        return $this->sizes[$item] ?? new LessonSize(0, 0, quiz: false);
    }

    /** @param  list<string>  $items */
    public function together(array $items): LessonSize
    {
        [$minutes, $films, $quiz] = [0, 0, false];
        foreach ($items as $item) {
            $size = $this->of($item);
            [$minutes, $films, $quiz] = [$minutes + $size->minutes, $films + $size->films, $quiz || $size->quiz];
        }

        return new LessonSize($minutes, $films, $quiz);
    }

    /** @param  list<string>  $items */
    public function quizzes(array $items): int
    {
        return count(array_filter($items, fn (string $item): bool => $this->of($item)->quiz));
    }
}
