<?php

declare(strict_types=1);

namespace App\Front;

use App\Access\Kept;
use App\Database\Value;
use App\Models\Content;
use App\Models\Medium;

/** How much there is in the lessons of courses: told to whoever thinks of taking one. */
final readonly class Sizes
{
    /** Characters that are read in a minute: two hundred words of five. */
    private const READ = 1000;

    /** Seconds that a question takes. */
    private const ASKED = 30;

    public function __construct(private Kept $kept)
    {
    }

    /**
     * Two queries where all is kept, two more where anything is not.
     *
     * @param  list<int>  $courses  by id
     * @return array<int, CourseSizes> of each of them
     */
    public function all(array $courses): array
    {
        $stamps = array_fill_keys($courses, '');
        foreach ([Content::query()->toBase()->selectRaw('course_id, count(*) as n, max(updated_at) as at, sum(version) as v'), Medium::query()->toBase()->selectRaw('course_id, count(*) as n, max(updated_at) as at, sum(id) as v')] as $query) {
            foreach ($query->whereIntegerInRaw('course_id', $courses)->groupBy('course_id')->get() as $row) {
                $stamps[Value::int($row->course_id)] .= implode(' ', [Value::text($row->n), Value::text($row->at), Value::text($row->v), '|']);
            }
        }

        return $this->kept->all('sizes', CourseSizes::class, $stamps, $this->reckon(...));
    }

    public function of(int $course): CourseSizes
    {
        return $this->all([$course])[$course];
    }

    /**
     * @param  list<int>  $courses
     * @return array<int, CourseSizes>
     */
    private function reckon(array $courses): array
    {
        $played = $films = $sizes = [];
        foreach (Medium::query()->toBase()->select('course_id', 'item_key', 'kind', 'seconds')->whereIntegerInRaw('course_id', $courses)->get() as $row) {
            [$course, $item] = [Value::int($row->course_id), Value::text($row->item_key)];
            $played[$course][$item] = ($played[$course][$item] ?? 0.0) + (is_numeric($row->seconds) ? (float) $row->seconds : 0.0);
            $films[$course][$item] = ($films[$course][$item] ?? 0) + ($row->kind === 'video' ? 1 : 0);
        }
        foreach (Content::query()->select('course_id', 'item_key', 'quiz', 'minutes')->selectRaw('length(text) as written')->whereIntegerInRaw('course_id', $courses)->get() as $content) {
            [$course, $item] = [$content->course_id, $content->item_key];
            $seconds = Value::int($content->getAttribute('written')) / self::READ * 60 + ($played[$course][$item] ?? 0.0) + count($content->quiz) * self::ASKED;
            $sizes[$course][$item] = new LessonSize($content->minutes ?? self::minutes($seconds), $films[$course][$item] ?? 0, $content->quiz !== []);
        }
        foreach ($played as $course => $items) {
            foreach ($items as $item => $seconds) {
                $sizes[$course][$item] ??= new LessonSize(self::minutes($seconds), $films[$course][$item], quiz: false);
            }
        }

        return array_map(static fn (int $course): CourseSizes => new CourseSizes($sizes[$course] ?? []), array_combine($courses, $courses));
    }

    private static function minutes(float $seconds): int
    {
        return $seconds > 0 ? max(1, (int) round($seconds / 60)) : 0;
    }
}
