<?php

declare(strict_types=1);

namespace App\Learning;

use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Activity;
use App\Models\Course;
use App\Models\Pass;
use App\Models\Person;
use App\Words\CalendarFile;
use App\Words\Say;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Viewer;

/** The openings and closings that somebody has before them, in all their courses, as iCalendar. */
final readonly class OwnCalendar
{
    public function __construct(private LearnerViews $views, private Viewers $viewers, private SchoolClock $clock)
    {
    }

    /**
     * Null where no one has this link, or not any more.
     *
     * @param  bool  $days  whole days in place of times
     */
    public function file(string $token, bool $days = false): ?string
    {
        $person = Person::query()->where('calendar_token', $token)->first();
        if ($person === null) {
            return null;
        }
        $courses = Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->whereIn('id', Pass::query()->where('person_id', $person->id)->select('course_id'))->orderBy('id')->get();
        $viewers = $this->viewers->ofAll(new Collection([$person]), $courses->toBase());
        $events = [];
        // Dates move with what is published, and with what is done by them and to them.
        $last = Activity::query()->where('person_id', $person->id)->latest('id')->first();
        [$revised, $sequence] = [$last?->happened_at->getTimestamp() ?? 0, $last->id ?? 0];
        foreach ($courses as $course) {
            $viewer = $viewers[$person->id][$course->id] ?? null;
            array_push($events, ...($viewer === null ? [] : $this->events($course, $viewer, $person)));
            $revised = max($revised, $course->liveRevision?->published_at->getTimestamp() ?? 0);
            $sequence += $course->last_draft_version;
        }

        return CalendarFile::write(Say::text('learner.calendar.name'), Say::text('learner.calendar.about'), $events, $revised, $sequence, $days ? SchoolZone::named($this->clock->zone())->native : null);
    }

    /** @return list<array{uid: string, at: int, summary: string, url: string}> */
    private function events(Course $course, Viewer $viewer, Person $person): array
    {
        $view = $this->views->published($course, $viewer);
        if ($view === null) {
            return [];
        }
        $address = $course->getRouteKey();
        $events = [];
        foreach ($view->dates->turns($view->pass()) as $turn) {
            $said = ['course' => $view->title(), 'item' => implode(', ', $turn->titles), 'count' => count($turn->titles), 'offer' => $view->offerName() ?? ''];
            $events[] = [
                'uid' => implode("\0", [$course->key, (string) $person->id, ...$turn->mark]),
                'at' => $turn->at,
                'summary' => $turn->ending ? Say::text('learner.calendar.ends', $said) : Say::text($turn->opens ? 'learner.calendar.opens' : 'learner.calendar.closes', $said),
                'url' => $turn->opens && $turn->key !== null ? SchoolAddress::of('lesson', ['course' => $address, 'item' => $turn->key]) : SchoolAddress::of('course', $address),
            ];
        }

        return $events;
    }
}
