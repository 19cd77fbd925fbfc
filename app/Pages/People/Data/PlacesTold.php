<?php

declare(strict_types=1);

namespace App\Pages\People\Data;

use App\Access\Shelf\CourseShelf;
use App\Words\Say;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Lang;
use Illuminate\Support\Facades\Schema;

/** Tables, and rows of them, in words. */
final readonly class PlacesTold
{
    public function __construct(private CourseShelf $shelf)
    {
    }

    public function of(string $table): string
    {
        return match (true) {
            in_array($table, ['files', 'log'], true) => Say::text("privacy_told.{$table}"),
            Lang::has("kept.sections.{$table}") => Say::text("kept.sections.{$table}"),
            Lang::has("privacy_told.places.{$table}") => Say::text("privacy_told.places.{$table}"),
            default => $table,
        };
    }

    /**
     * @param  list<array{table: string, column: string, row: string}>  $places
     * @return list<string> each with the course where it is of one
     */
    public function each(array $places): array
    {
        $rows = [];
        foreach ($places as $place) {
            $rows[$place['table']][$place['row']] = true;
        }
        $told = [];
        foreach ($rows as $table => $named) {
            $courses = self::courses($table, array_map(strval(...), array_keys($named)));
            foreach (array_keys($named) as $row) {
                $place = Say::text('privacy_told.place', ['place' => Say::text("privacy_told.places.{$table}"), 'row' => (string) $row]);
                $told[] = isset($courses[$row]) ? Say::text('privacy_told.place_in', ['place' => $place, 'course' => $this->shelf->title($courses[$row])]) : $place;
            }
        }

        return $told;
    }

    /**
     * @param  list<string>  $rows
     * @return array<array-key, int> by row
     */
    private static function courses(string $table, array $rows): array
    {
        $columns = Schema::getColumnListing($table);
        if (! in_array('course_id', $columns, true)) {
            return [];
        }
        $courses = [];
        $key = in_array('id', $columns, true) ? 'id' : 'course_id';
        foreach (DB::table($table)->whereIn($key, $rows)->whereNotNull('course_id')->orderBy($key)->pluck('course_id', $key) as $row => $course) {
            $courses[$row] = is_numeric($course) ? (int) $course : 0;
        }

        return $courses;
    }
}
