<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Agenda\AgendaSum;
use App\Agenda\AgendaTurn;
use App\Agenda\CourseAgenda;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Pages\Courses\HoldersNow;
use App\Words\Glyph;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Foresight\TurnKind;

/** The week as an agenda, a row for each course that anybody holds a pass of. */
final readonly class WeekBuilder
{
    /** How many courses are on one page. */
    private const COURSES = 15;

    /** How much is told of one day of a course. */
    private const A_DAY = 6;

    public function __construct(private CourseShelf $shelf, private Plans $plans, private SchoolClock $clock, private CourseAgenda $agenda, private HoldersNow $holders)
    {
    }

    /** @return list<AgendaDay> */
    public function days(string $monday): array
    {
        $today = $this->clock->day($this->clock->now());
        $days = [];
        foreach (self::dates($monday) as $date) {
            $days[] = new AgendaDay($date, $this->clock->date((int) $this->clock->instant("{$date}T12:00")), $date === $today, $date < $today);
        }

        return $days;
    }

    /**
     * @param  ?list<int>  $only  ids of the courses that are told of; null: all
     * @param  int  $page  from 1
     * @return array{list<AgendaRow>, bool, array<int, AgendaSum>, int, int} rows of one page; whether somebody is still being looked at; sums by the course's id, of all; the page, and how many there are
     */
    public function rows(string $monday, ?array $only, int $page): array
    {
        $stamps = $this->plans->stamps();
        $holders = $this->holders->all();
        $names = Offer::query()->toBase()->orderBy('id')->pluck('name', 'key')->map(static fn (mixed $name): string => is_string($name) ? $name : '')->all();
        $rows = $sums = [];
        $now = $this->clock->now();
        $counting = false;
        $held = array_filter($this->shelf->courses(), static fn (int $id): bool => ($holders[$id] ?? 0) > 0 && ($only === null || in_array($id, $only, true)), ARRAY_FILTER_USE_KEY);
        $counts = $this->agenda->all(array_values(array_map(static fn (Course $course): array => [$course, $stamps[$course->id] ?? ''], $held)), $monday);
        $pages = max(1, (int) ceil(count($held) / self::COURSES));
        $page = min($pages, max(1, $page));
        $documents = $this->shelf->documents(array_slice(array_keys($held), ($page - 1) * self::COURSES, self::COURSES));
        foreach ($held as $id => $course) {
            $count = $counts[$id];
            $counting = $counting || $count->finished_at === null;
            $sums[$id] = CourseAgenda::sum($count, $now);
            if (isset($documents[$id])) {
                $rows[] = $this->row($course, $documents[$id], $holders[$id], CourseAgenda::turns($count), $names, $monday, listsPeople: $only === null);
            }
        }

        return [$rows, $counting, $sums, $page, $pages];
    }

    /**
     * @param  list<AgendaTurn>  $turns
     * @param  array<array-key, string>  $names  of offers, by key
     */
    private function row(Course $course, CourseDocument $document, int $holders, array $turns, array $names, string $monday, bool $listsPeople): AgendaRow
    {
        $days = $more = [];
        foreach (self::dates($monday) as $date) {
            $its = array_values(array_filter($turns, static fn (AgendaTurn $turn): bool => $turn->day === $date));
            $shown = $its;
            if (count($its) > self::A_DAY) {
                usort($shown, static fn (AgendaTurn $a, AgendaTurn $b): int => $b->people <=> $a->people);
                $chosen = array_slice($shown, 0, self::A_DAY);
                $shown = array_values(array_filter($its, static fn (AgendaTurn $turn): bool => in_array($turn, $chosen, true)));
            }
            $days[] = array_map(fn (AgendaTurn $turn): AgendaEntry => $this->entry($course, $turn, $names, $listsPeople), $shown);
            $more[] = count($its) - count($shown);
        }

        return new AgendaRow($course->key, $document->title(), self::note($document, $holders), $days, $more);
    }

    /** @param  array<int, AgendaSum>  $sums  by the course's id */
    public function next(array $sums): ?Sentence
    {
        $next = null;
        foreach ($sums as $course => $sum) {
            if ($sum->next !== null && ($next === null || $sum->next->first < $next[1]->first)) {
                $next = [$course, $sum->next];
            }
        }

        return $next === null ? null : Sentence::say('today_told.next', ['count' => $next[1]->people, 'when' => $this->clock->words($next[1]->first)], ['title' => $this->shelf->itemTitle($next[0], $next[1]->of), 'course' => $this->shelf->title($next[0])]);
    }

    /** @return list<string> */
    private static function dates(string $monday): array
    {
        return array_map(static fn (int $days): string => (new \DateTimeImmutable($monday))->modify("+{$days} days")->format('Y-m-d'), range(0, 6));
    }

    private static function note(CourseDocument $document, int $holders): string
    {
        $course = $document->read();
        $passes = Say::text('today_told.passes', ['count' => $holders]);
        if ($course->state() === 'retired') {
            return Say::text('today_told.retired', ['count' => $holders]);
        }

        return $course->closes() === null ? $passes : Say::text('today_told.until', ['when' => RuleWords::local($course->closes()), 'passes' => $passes]);
    }

    /**
     * @param  array<array-key, string>  $names  of offers, by key
     * @param  bool  $listsPeople  whether whoever looks may see the list of people
     */
    private function entry(Course $course, AgendaTurn $turn, array $names, bool $listsPeople): AgendaEntry
    {
        $past = $turn->last <= $this->clock->now();
        $item = $turn->kind === TurnKind::Opens || $turn->kind === TurnKind::Closes;
        $time = substr($this->clock->wall($turn->first), 11);

        return new AgendaEntry(
            $turn->kind->value,
            (! in_array($turn->kind, [TurnKind::Opens, TurnKind::PassBegins], true) ? Glyph::Over : ($past ? Glyph::Open : Glyph::Later))->value,
            match ($turn->kind) {
                TurnKind::Opens => $this->shelf->itemTitle($course->id, $turn->of),
                TurnKind::Closes => Say::text('today_told.closes', ['title' => $this->shelf->itemTitle($course->id, $turn->of)]),
                TurnKind::PassBegins => Say::text('today_told.begins', ['title' => $names[$turn->of] ?? $turn->of]),
                TurnKind::PassEnds => Say::text('today_told.ends', ['title' => $names[$turn->of] ?? $turn->of]),
                TurnKind::SeasonEnds => Say::text('today_told.season_ends'),
            },
            $turn->first === $turn->last ? $time : Say::text('today_told.from_time', ['time' => $time]),
            $turn->people, $past,
            match (true) {
                $item => route('keep.course', ['course' => $course, 'lens' => 'timeline', 'row' => $turn->of], false),
                $listsPeople => route('keep.people.list', $turn->of === '' ? ['course' => $course->key] : ['holds' => $turn->of], false),
                default => null,
            },
        );
    }
}
