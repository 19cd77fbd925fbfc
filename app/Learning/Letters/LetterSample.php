<?php

declare(strict_types=1);

namespace App\Learning\Letters;

use App\Access\Plans;
use App\Access\SchoolAddress;
use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\Viewers;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterTo;
use App\Words\Say;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Offer;

/** A letter as somebody might get it who took an offer today: of a course of the school, with what the core says of it. */
final readonly class LetterSample
{
    /** Days after which the end of the pass is thought to be, where its offer ends never. */
    private const ENDS = 7;

    public function __construct(private Plans $plans, private LearnerViews $views, private SchoolClock $clock, private SchoolOf $school)
    {
    }

    public function to(LetterKind $kind, string $name, string $address): LetterTo
    {
        [$view, $offer] = $this->holder();
        $now = $this->clock->now();
        $ends = $this->clock->plusDays($now, self::ENDS);
        $zoned = fn (int $instant): string => Say::text('letters.zoned', ['at' => $this->clock->plain($instant), 'zone' => $this->clock->zoneName()]);
        $until = $offer?->lasts->end($now, SchoolZone::named($this->clock->zone()));
        $next = $view?->dates->opensNext();
        $course = $view?->title() ?? Say::text('letters.sample.course');
        $home = $view === null ? SchoolAddress::of('courses', []) : SchoolAddress::of('course', $view->frame()->key);

        return LetterTo::address(null, $name, $address, [
            'courses' => "  {$course}",
            'course' => $course,
            'offer' => $offer->title ?? Say::text('letters.sample.offer'),
            'begins' => Say::text('letters.now'),
            'until' => $until === null || $until === \SilentKeep\Core\Time\Instant::NEVER ? Say::text('letters.for_good') : Say::text('letters.until', ['at' => $this->clock->plain($until), 'zone' => $this->clock->zoneName()]),
            'open' => $kind === LetterKind::Ended ? Say::text('letters.still_open', ['count' => $this->openToAll($view)]) : Say::text('letters.open', ['count' => $view?->openLessons() ?? 0]),
            'next' => $next === null ? '' : Say::text('letters.next', ['title' => $next->title, 'at' => $next->at, 'zone' => $this->clock->zoneName()]),
            'ends' => $kind === LetterKind::TrialEnds ? Say::text('letters.trial.ends', ['at' => $this->clock->plain($ends), 'zone' => $this->clock->zoneName()]) : $zoned($ends),
            'days' => (string) self::ENDS,
            'when' => Say::text('letters.in_days', ['days' => self::ENDS]),
            'ended' => $zoned($now),
            'due' => $this->clock->words($this->clock->plusDays($ends, ($this->school)()->grace_days)),
            'day' => $this->clock->words($now),
            'opens' => Say::text('letters.now'),
            'learners' => Say::text('letters.sample.learner'),
            'lines' => $kind === LetterKind::Observer ? Say::text('letters.observer.line_courses', ['name' => Say::text('letters.sample.learner'), 'courses' => $course, 'address' => SchoolAddress::of('courses', [])]) : $this->openLines($view),
            'address' => in_array($kind, [LetterKind::Welcome, LetterKind::OpenedToday, LetterKind::Observer], true) ? SchoolAddress::of('courses', []) : $home,
        ], '', SchoolAddress::of('account', []));
    }

    /** @return array{?LearnerView, ?Offer} of the first course that runs and has an offer */
    private function holder(): array
    {
        foreach (Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->orderBy('id')->get() as $course) {
            $decider = $this->plans->live($course);
            $offer = $decider?->course->state === CourseState::Live ? $decider->course->offers[0] ?? null : null;
            if ($decider !== null && $offer !== null) {
                $viewer = Viewers::holderOf($offer, $this->clock->now(), SchoolZone::named($this->clock->zone()));

                return [$this->views->published($course, $viewer), $decider->prepared->plan->offer($offer->key)];
            }
        }

        return [null, null];
    }

    /** What is open to whoever holds no pass. */
    private function openToAll(?LearnerView $view): int
    {
        return $view === null ? 0 : $this->views->of($view->answer->decider, Viewers::member(), $this->clock)->openLessons();
    }

    private function openLines(?LearnerView $view): string
    {
        if ($view === null) {
            return '';
        }
        $outline = $view->answer->decider->course->outline;
        $open = array_values(array_filter($outline->items, static fn (Item $item): bool => $view->isOpen($item->key) && $outline->isPublishedLesson($outline->positionOf($item->key) ?? 0)));
        $lines = array_map(static fn (Item $item): string => Say::text('letters.opened_line', ['title' => $item->title ?? $item->key, 'address' => SchoolAddress::of('lesson', ['course' => $view->frame()->key, 'item' => $item->key])]), array_slice($open, 0, 2));

        return implode("\n", [$view->title(), ...$lines]);
    }
}
