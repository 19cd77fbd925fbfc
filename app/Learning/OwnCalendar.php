<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Collection;
use SilentKeep\Core\Foresight\CalendarFile;

/** The openings and closings that somebody has before them, in all their courses, as iCalendar. */
final readonly class OwnCalendar
{
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock)
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
            $decider = $this->plans->live($course);
            $viewer = $viewers[$person->id][$course->id] ?? null;
            if ($decider === null || $viewer === null) {
                continue;
            }
            $view = new LearnerView($decider, $viewer, $this->clock);
            foreach ($view->dates() as $date) {
                $what = $date['opens'] ? 'opens' : 'closes';
                $events[] = ['uid' => implode("\0", [$course->key, (string) $person->id, $date['key'], $what, (string) $date['time']]), 'at' => $date['at'], 'summary' => "{$view->title()}: {$date['title']} {$what}"];
            }
        }

        return CalendarFile::write('My courses', 'Own openings', $events, $this->clock->now());
    }
}
