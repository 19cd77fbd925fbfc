<?php

declare(strict_types=1);

namespace App\Pages\People\Lists;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Dialects;
use App\Database\Lists;
use App\Learning\Progress\HowFar;
use App\Models\ItemVisit;
use App\Models\Person;
use App\People\HeldLabel;
use App\People\PassWords;
use App\People\PeoplesLabels;
use App\Words\Say;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use SilentKeep\Core\Time\Instant;

/** What lists tell of people, on a page and in a file: in a fixed number of queries, however many of them. */
final readonly class PeopleRows
{
    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private PassWords $words, private PeoplesLabels $labels, private HowFar $howFar)
    {
    }

    /**
     * @param  list<int>  $ids
     * @return Collection<int, Person> in their order; whoever is not there is left out
     */
    public function people(array $ids): Collection
    {
        $order = array_flip($ids);

        return Person::query()->whereIntegerInRaw('id', $ids)->get()->sortBy(static fn (Person $person): int => $order[$person->id])->values();
    }

    /**
     * @param  Collection<int, Person>  $people
     * @param  ?string  $courseKey  whose progress is wanted; null: that of the courses they hold passes of
     * @param  bool  $samples  whether it is told which samples they have looked at
     * @return list<PersonRow>
     */
    public function of(Collection $people, ?string $courseKey = null, bool $samples = false): array
    {
        $ids = $people->modelKeys();
        $course = $courseKey === null ? null : $this->shelf->byKey($courseKey)?->id;
        $labels = $this->labels->of($ids);
        $looked = $samples ? $this->samples($ids) : [];
        [$passes, $courses] = $this->passes($ids);
        $progress = $this->howFar->of($people, $course === null ? $courses : array_fill_keys($ids, [$course]));
        $rows = [];
        foreach ($people as $person) {
            [$id, $address, $seen] = [$person->id, $person->address(), $person->seen_at?->getTimestamp()];
            $rows[] = new PersonRow(
                $id,
                $person->name,
                $person->isConfirmed() ? $address : Say::text('pages.people_page_builder.not_confirmed', ['address' => $address]),
                $person->role?->value,
                [...$passes[$id] ?? [], ...$looked[$id] ?? []],
                array_values(array_unique(array_map(static fn (HeldLabel $held): string => $held->label, $labels[$id] ?? []))),
                isset($progress[$id]) ? Say::text('pages.people_page_builder.finished_of_all', ['finished' => $progress[$id][0], 'all' => $progress[$id][1]]) : null,
                $seen === null ? null : $this->clock->words($seen),
                $seen === null ? null : Instant::format($seen),
            );
        }

        return $rows;
    }

    /**
     * What people hold and held, the last begun first. Not as models: of a file there may be very many.
     *
     * @param  array<int|string>  $people
     * @return array{array<int, list<string>>, array<int, list<int>>} in words, and ids of their courses; both by person
     */
    private function passes(array $people): array
    {
        $dialect = Dialects::spoken();
        $words = $courses = [];
        $held = DB::table('passes')->join('offers', 'offers.id', '=', 'passes.offer_id')->whereIntegerInRaw('passes.person_id', array_map(intval(...), $people))->orderByDesc('passes.starts_at')->orderByDesc('passes.id')
            ->selectRaw("passes.person_id, passes.course_id, passes.state, {$dialect->seconds('passes.starts_at')}, {$dialect->seconds('passes.ends_at')}, offers.name, offers.trial");
        foreach (Lists::of($held) as [$person, $course, $state, $starts, $ends, $offer, $isTrial]) {
            $words[(int) $person][] = $this->words->told((string) $offer, (bool) $isTrial, (string) $state, (int) $starts, $ends === null ? null : (int) $ends);
            $courses[(int) $person][(int) $course] = (int) $course;
        }

        return [$words, array_map(array_values(...), $courses)];
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
}
