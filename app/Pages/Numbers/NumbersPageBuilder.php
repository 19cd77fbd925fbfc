<?php

declare(strict_types=1);

namespace App\Pages\Numbers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\PeopleCount;
use App\Numbers\CourseNumbers;
use App\Numbers\Trials;
use App\Numbers\Weeks;
use App\Words\Say;
use SilentKeep\Core\Foresight\Whereabouts;

/** Puts together what charts are drawn of. */
final readonly class NumbersPageBuilder
{
    public function __construct(private CourseNumbers $numbers, private Trials $trials, private Plans $plans, private SchoolClock $clock)
    {
    }

    public function page(Course $course): NumbersPage
    {
        $weeks = Weeks::present($this->clock);
        $count = $this->numbers->of($course);
        $document = CourseDocument::fromJson($course->liveRevision->document ?? $course->draft->document ?? throw new \LogicException('A course has a revision or a draft.'));
        $places = $count === null ? [] : $this->places($course, $document);

        return new NumbersPage(
            $course->key, $document->title(), $count !== null, $count !== null && $count->finished_at === null, $count->looked ?? 0, $count->of ?? 0, $places,
            $count === null ? [] : $this->where($count, $places, $weeks), $count === null ? [] : $this->opens($count, $weeks), $this->trials($course, $weeks),
        );
    }

    /** @return list<PlaceTold> */
    private function places(Course $course, CourseDocument $document): array
    {
        $decider = $this->plans->live($course) ?? throw new \LogicException('It is published.');
        $items = $document->readItems();
        $places = array_map(static fn (string $key): PlaceTold => new PlaceTold($key, ($items[$key] ?? null)?->title() ?? $key), (new Whereabouts($this->plans->compiled($decider)))->places());

        return [...$places, new PlaceTold(Whereabouts::THROUGH, Say::text('numbers_told.through'))];
    }

    /**
     * @param  list<PlaceTold>  $places
     * @return list<WhereRow>
     */
    private function where(PeopleCount $count, array $places, Weeks $weeks): array
    {
        $whens = [...array_map($this->clock->axisDate(...), $weeks->past()), Say::text('numbers_told.now')];

        return array_map(static fn (int $week): WhereRow => new WhereRow($whens[$week], array_map(static fn (PlaceTold $place): int => CourseNumbers::were($count, $week, $place->key), $places)), array_keys($whens));
    }

    /** @return list<OpensRow> */
    private function opens(PeopleCount $count, Weeks $weeks): array
    {
        $rows = [];
        foreach (array_slice($weeks->coming(), 0, Weeks::COUNT) as $week => $begins) {
            $rows[] = new OpensRow($this->clock->axisDate($begins), ...CourseNumbers::opens($count, $week));
        }

        return $rows;
    }

    /** @return ?list<TrialsRow> */
    private function trials(Course $course, Weeks $weeks): ?array
    {
        $trials = $this->trials->of($course, $weeks);

        return $trials === null ? null : array_map(fn (int $begins, array $row): TrialsRow => new TrialsRow($this->clock->axisDate($begins), ...$row), $weeks->past(), $trials);
    }
}
