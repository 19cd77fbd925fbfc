<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use App\Words\CalendarFile;
use App\Words\Say;
use Illuminate\Support\Collection;

/** The openings and closings that somebody has before them, in all their courses, as iCalendar. */
final readonly class OwnCalendar
{
    public function __construct(private LearnerViews $views, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /** Null where no one has this link, or not any more. */
    public function file(string $token): ?string
    {
        $person = Person::query()->where('calendar_token', $token)->first();
        if ($person === null) {
            return null;
        }
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->whereIn('id', Pass::query()->where('person_id', $person->id)->select('course_id'))->orderBy('id')->get();
        $viewers = $this->viewers->ofAll(new Collection([$person]), $courses->toBase());
        $events = [];
        foreach ($courses as $course) {
            $viewer = $viewers[$person->id][$course->id] ?? null;
            $view = $viewer === null ? null : $this->views->published($course, $viewer);
            foreach ($view?->dates->dates() ?? [] as $date) {
                $what = $date['opens'] ? 'opens' : 'closes';
                $events[] = ['uid' => implode("\0", [$course->key, (string) $person->id, $date['key'], $what, (string) $date['time']]), 'at' => $date['at'], 'summary' => Say::text("learner.calendar.{$what}", ['course' => $view?->title() ?? '', 'item' => $date['title']])];
            }
        }

        return CalendarFile::write(Say::text('learner.calendar.name'), Say::text('learner.calendar.about'), $events, $this->clock->now());
    }
}
