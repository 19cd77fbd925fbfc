<?php

declare(strict_types=1);

namespace App\Pages\People;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Lists;
use App\Database\Value;
use App\Learning\Progress\HowFar;
use App\Models\ItemVisit;
use App\Models\Pass;
use App\Models\Person;
use App\Models\SavedFilter;
use App\People\HeldLabel;
use App\People\PassWords;
use App\People\PeopleFilter;
use App\People\PeopleQuery;
use App\People\PeoplesLabels;
use App\Words\Say;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Time\Instant;

/** Puts together lists of people, in a fixed number of queries however many there are. */
final readonly class PeoplePageBuilder
{
    public const PER_PAGE = 50;

    /** Labels that are proposed; any other can be typed. */
    private const LABELS = 200;

    /** People of whom rows are in memory at once where a file is made. */
    private const OF_A_FILE = 2_000;

    /** People whose progress is counted at once for a file: so many share the reading of a course. */
    private const COUNTED = 6_000;

    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private PassWords $words, private PeopleQuery $find, private ActPageBuilder $acts, private PeoplesLabels $labels, private HowFar $howFar)
    {
    }

    /** @param  array<string, string>  $asked  the filter as the address has it */
    public function page(PeopleFilter $filter, int $page, array $asked, Person $reader, bool $mayRun): PeoplePage
    {
        $query = ($this->find)($filter);
        $total = (clone $query)->toBase()->getCountForPagination();
        $pages = max(1, (int) ceil($total / self::PER_PAGE));
        $page = max(1, min($page, $pages));
        $people = $query->forPage($page, self::PER_PAGE)->get();

        return new PeoplePage(
            people: $this->rows($people, $filter->course, $filter->standing === 'samples'),
            total: $total,
            page: $page,
            pages: $pages,
            filter: (object) $asked,
            offers: $this->shelf->offers(),
            courses: $this->shelf->picks(),
            labels: PeoplesLabels::known(self::LABELS),
            segments: $this->segments($reader),
            underWay: $this->acts->underWay($reader, $mayRun),
            csvForm: $reader->csv_form?->value,
            mayRun: $mayRun,
        );
    }

    /** @return list<SavedFilterRow> */
    private function segments(Person $reader): array
    {
        $segments = [];
        foreach (SavedFilter::query()->where('person_id', $reader->id)->orderBy('name')->get() as $segment) {
            $segments[] = new SavedFilterRow($segment->id, $segment->name, $segment->query);
        }

        return $segments;
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  ?string  $courseKey  whose progress is wanted; null: that of the courses they hold passes of
     * @param  bool  $samples  whether it is told which samples they have looked at
     * @param  ?array<int, array{int, int}>  $progress  as {@see HowFar::of()} tells it, where it is known; null: it is asked for
     * @return list<PersonRow>
     */
    public function rows(Collection $people, ?string $courseKey = null, bool $samples = false, ?array $progress = null): array
    {
        $ids = $people->modelKeys();
        $course = $courseKey === null ? null : $this->shelf->byKey($courseKey)?->id;
        $passes = [];
        $labels = $this->labels->of($ids);
        $looked = $samples ? $this->samples($ids) : [];
        foreach (Pass::query()->with('offer')->whereIntegerInRaw('person_id', $ids)->orderByDesc('starts_at')->orderByDesc('id')->get() as $pass) {
            $passes[$pass->person_id][] = $pass;
        }
        $progress ??= $this->howFar->of($people, $people->mapWithKeys(static fn (Person $person): array => [
            $person->id => $course !== null ? [$course] : array_values(array_unique(array_map(static fn (Pass $pass): int => $pass->course_id, $passes[$person->id] ?? []))),
        ])->all());
        $rows = [];
        foreach ($people as $person) {
            $held = $passes[$person->id] ?? [];
            $rows[] = new PersonRow(
                $person->id,
                $person->name,
                $person->isConfirmed() ? $person->address() : Say::text('pages.people_page_builder.not_confirmed', ['address' => $person->address()]),
                $person->role?->value,
                [...array_map($this->words->short(...), $held), ...$looked[$person->id] ?? []],
                array_values(array_unique(array_map(static fn (HeldLabel $held): string => $held->label, $labels[$person->id] ?? []))),
                isset($progress[$person->id]) ? Say::text('pages.people_page_builder.finished_of_all', ['finished' => $progress[$person->id][0], 'all' => $progress[$person->id][1]]) : null,
                $person->seen_at === null ? null : $this->clock->words($person->seen_at->getTimestamp()),
                $person->seen_at === null ? null : Instant::format($person->seen_at->getTimestamp()),
            );
        }

        return $rows;
    }

    /**
     * Which samples people have looked at, in which course, since when.
     *
     * @param  array<int|string>  $people
     * @return array<int, list<string>> by person, the first looked at first
     */
    private function samples(array $people): array
    {
        $looked = [];
        foreach (ItemVisit::query()->where('via', 'sample')->whereIntegerInRaw('person_id', array_map(intval(...), $people))->orderBy('first_at')->orderBy('id')->get() as $visit) {
            $looked[$visit->person_id][] = Say::text('pages.people_page_builder.item_title_title_since', ['item_title' => $this->shelf->itemTitle($visit->course_id, $visit->item_key), 'title' => $this->shelf->title($visit->course_id), 'when' => $this->clock->words($visit->first_at->getTimestamp())]);
        }

        return $looked;
    }

    /** Everybody the filter lets through, as CSV, in bounded memory. */
    public function csv(PeopleFilter $filter): \Generator
    {
        yield ['Name', 'E-mail', 'Role', 'Passes', 'Labels', 'Finished', Say::text('pages.people_page_builder.last_here')];
        $ids = ($this->find)($filter)->toBase()->pluck('id');
        foreach ($ids->chunk(self::COUNTED) as $many) {
            $progress = $this->progress(Value::ints($many), $filter->course);
            foreach ($many->chunk(self::OF_A_FILE) as $some) {
                $order = array_flip(Value::ints($some));
                $people = Person::query()->whereIntegerInRaw('id', Value::ints($some))->get()->sortBy(static fn (Person $person): int => $order[$person->id] ?? 0)->values();
                foreach ($this->rows($people, $filter->course, $filter->standing === 'samples', $progress) as $row) {
                    yield [$row->name, $row->email, $row->role ?? '', implode('; ', $row->passes), implode(', ', $row->labels), $row->progress ?? '', $row->seen ?? ''];
                }
            }
        }
    }

    /**
     * @param  list<int>  $ids  of people
     * @param  ?string  $courseKey  null: in the courses they hold passes of
     * @return array<int, array{int, int}> by person, as {@see HowFar::of()} tells it
     */
    private function progress(array $ids, ?string $courseKey): array
    {
        $course = $courseKey === null ? null : $this->shelf->byKey($courseKey)?->id;
        $courses = $course === null ? [] : array_fill_keys($ids, [$course]);
        if ($course === null) {
            foreach (Lists::of(DB::table('passes')->whereIntegerInRaw('person_id', $ids)->distinct()->orderBy('person_id')->orderBy('course_id')->select(['person_id', 'course_id'])) as [$person, $of]) {
                $courses[(int) $person][] = (int) $of;
            }
        }

        return $this->howFar->of(Person::query()->select(['id', 'role'])->whereIntegerInRaw('id', $ids)->get(), $courses);
    }
}
