<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Content;
use App\Models\Course;
use App\Models\CourseFace;
use App\Models\School;

/** What the demo school and its courses show of themselves to whoever has not come in. */
final class DemoFaces
{
    public function run(): void
    {
        School::query()->update([
            'front_title' => 'Boats by hand, an evening at a time',
            'front_text' => 'Learn at your own bench between two weeks in our shed on the fjord. Look at a lesson of any course before you take it.',
        ]);
        $faces = require database_path('demo/faces.php');
        assert(is_array($faces));
        foreach ($faces as $key => $told) {
            assert(is_array($told));
            $course = Course::query()->where('key', $key)->firstOrFail();
            $course->update(['subject' => $told['subject']]);
            CourseFace::query()->create([
                'course_id' => $course->id, 'sentence' => $told['sentence'], 'outcomes' => $told['outcomes'] ?? [], 'questions' => $told['questions'] ?? [],
                'drawing' => $told['drawing'], 'contact_name' => $told['contact'][0] ?? null, 'contact_email' => $told['contact'][1] ?? null, 'version' => 1,
            ]);
            foreach ($told['minutes'] ?? [] as $item => $minutes) {
                Content::query()->firstOrNew(['course_id' => $course->id, 'item_key' => $item], ['text' => '', 'quiz' => []])->fill(['minutes' => $minutes])->save();
            }
        }
    }
}
