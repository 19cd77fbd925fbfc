<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Course;
use App\Models\NoticeText;
use App\Models\RelatedOffer;
use App\Models\SharedNotice;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use DateTimeImmutable;

/** Words of the demo school that stand at several doors, and a course that is offered beside another. */
final class DemoNotices
{
    public function run(DateTimeImmutable $now): void
    {
        $shared = SharedNotice::query()->create(['name' => 'When a pass has ended', 'published_at' => $now, 'live' => [
            'heading' => 'Your pass of {course} is over', 'titled' => true,
            'text' => 'What you have finished in *{course}* is kept. Whoever comes back goes on where they were.', 'parts' => null,
        ]]);
        foreach (['steam-frames', 'winter-refit'] as $key) {
            $course = Course::query()->where('key', $key)->firstOrFail();
            NoticeText::query()->create(['scope' => NoticePlace::at($course)->scope(), 'course_id' => $course->id, 'case' => NoticeCase::Ended->value, 'way' => 'shared', 'shared_id' => $shared->id, 'heading' => '', 'text' => '', 'version' => 1]);
        }
        $clinker = Course::query()->where('key', 'clinker')->firstOrFail();
        RelatedOffer::query()->create([
            'course_id' => Course::query()->where('key', 'sails')->firstOrFail()->id, 'other_id' => $clinker->id, 'heading' => 'A sail wants a boat beneath it',
            'text' => 'In *Clinker planking* you hang the planks of one, from the garboard to the sheer.', 'button' => 'See how',
        ]);
    }
}
