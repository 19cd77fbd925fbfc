<?php

declare(strict_types=1);

namespace App\Front;

use App\Words\Say;

/** What a course, a module or a lesson takes, in words. */
final class Takes
{
    private function __construct()
    {
    }

    /** `42 min`, `1 h 10 min`; beyond five hours `about 6 h`. */
    public static function time(int $minutes): string
    {
        $hours = intdiv($minutes, 60);

        return match (true) {
            $minutes < 60 => Say::text('front.takes.minutes', ['minutes' => $minutes]),
            $minutes >= 300 => Say::text('front.takes.about', ['hours' => (int) round($minutes / 60)]),
            $minutes % 60 < 3 || $minutes % 60 > 57 => Say::text('front.takes.hours', ['hours' => (int) round($minutes / 60)]),
            default => Say::text('front.takes.hours_minutes', ['hours' => $hours, 'minutes' => min(55, 5 * (int) round(($minutes % 60) / 5))]),
        };
    }

    /** `8 lessons, 2 films, 1 h 10 min` */
    public static function lessons(int $lessons, int $films, int $quizzes, int $minutes): string
    {
        return implode(', ', array_filter([
            Say::text('front.takes.lessons', ['count' => $lessons]),
            $films === 0 ? '' : Say::text('front.takes.films', ['count' => $films]),
            $quizzes === 0 ? '' : Say::text('front.takes.quizzes', ['count' => $quizzes]),
            $minutes === 0 ? '' : self::time($minutes),
        ], static fn (string $part): bool => $part !== ''));
    }

    /** Of one lesson or part: `film, 16 min`. */
    public static function lesson(LessonSize $size): string
    {
        return implode(', ', array_filter([
            $size->films > 0 ? Say::text('front.takes.film') : '',
            $size->quiz ? Say::text('front.takes.quiz') : '',
            $size->minutes === 0 ? '' : self::time($size->minutes),
        ], static fn (string $part): bool => $part !== ''));
    }
}
