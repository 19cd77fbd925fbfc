<?php

declare(strict_types=1);

namespace Tests\People;

use App\Database\Value;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Models\SavedFilter;
use App\People\ChosenPeople;
use App\People\PeopleFilter;
use App\People\PeopleQuery;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

final class PeopleListTest extends TestCase
{
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
        // Somebody who only looked at a sample, and somebody who was here lately.
        $this->actingAs($this->person('jonas'))->get('/courses/clinker/l-welcome')->assertOk();
        $this->actingAs($this->person('hege'));
        Person::query()->where('email', 'torvald@alder.test')->update(['seen_at' => '2026-03-01 12:00:00']);
        $this->act('observe', ['eira'], ['observer' => $this->person('amund')->id]);
    }

    /** @param  list<string>  $names  first names, in the order of the list */
    #[DataProvider('filters')]
    public function test_a_filter_lets_through_whom_it_says(string $query, array $names): void
    {
        $people = $this->get("/keep/people?{$query}")->assertOk()->inertiaProps('people');
        self::assertIsArray($people);
        self::assertSame($names, array_map(static fn (mixed $person): string => is_array($person) ? explode(' ', (string) $person['name'])[0] : '', $people));
    }

    /** @return array<string, array{string, list<string>}> */
    public static function filters(): array
    {
        return [
            'a part of a name' => ['find=eir', ['Eira']],
            'an address' => ['find=NINA%40', ['Nina']],
            'what stands for anything elsewhere' => ['find=%25', []],
            'holders of an offer' => ['holds=yard-trial', ['Marius', 'Solveig']],
            'of no offer' => ['holds=nothing', []],
            'on a trial' => ['standing=trial', ['Marius', 'Solveig']],
            'only looked at samples' => ['standing=samples', ['Jonas']],
            'never held a pass' => ['standing=none', ['Jonas', 'Målfrid']],
            'staff' => ['standing=staff', ['Aksel', 'Hege']],
            'observers' => ['standing=observes', ['Amund']],
            'the observed' => ['standing=observed', ['Eira']],
            'ends within two days' => ['ends_in=2', ['Leif', 'Solveig']],
            'ended in the last five days' => ['ended=5', ['Gro', 'Nina']],
            'a label' => ['label=oar-bonus', ['Halvard', 'Jorunn']],
            'not here for a week, of an offer' => ['unseen=7&holds=yard-trial', ['Marius', 'Solveig']],
            'here lately' => ['unseen=3&find=torvald', ['Torvald']],
            'progress' => ['course=clinker&from=60', ['Halvard', 'Ylva']],
            'progress between' => ['course=clinker&from=33&to=34', ['Einar', 'Jenny', 'Jorunn', 'Nina', 'Ragna']],
            'sorted by end' => ['holds=yard-trial&sort=ends', ['Solveig', 'Marius']],
            'nonsense' => ['holds[]=x&ends_in=soon&sort=up&standing=king&page=-4&find=Jonas', ['Jonas']],
        ];
    }

    public function test_a_page_tells_what_they_hold_and_how_far_they_are(): void
    {
        $people = $this->get('/keep/people?find=ragna')->inertiaProps('people');
        self::assertIsArray($people);
        self::assertSame(['Apprentice pass, to Sun 16 Aug'], $people[0]['passes']);
        self::assertSame('3 of 7', $people[0]['progress']);
        self::assertNull($people[0]['seen']);
    }

    public function test_whatever_the_filter_and_however_many_people_the_queries_are_as_many(): void
    {
        $this->get('/keep/people');
        $one = $this->queriesOf('/keep/people?find=eira');
        $this->many(2000);
        // Of many it is asked how many they are.
        self::assertSame($one + 1, $this->queriesOf('/keep/people'));
        self::assertSame($one + 1, $this->queriesOf('/keep/people?page=7'));
        self::assertLessThan(22, $one);
        // What was said of a course to somebody is kept: only the first ask of it reads more.
        $persons = array_map(fn (string $name): string => "/keep/people/{$this->person($name)->id}", ['jorunn', 'halvard']);
        array_map($this->queriesOf(...), $persons);
        self::assertSame($this->queriesOf($persons[0]), $this->queriesOf($persons[1]));
    }

    /** The list of those on a trial took half a minute at 20,000 people: it asked for the passes of each of them anew. */
    public function test_a_long_list_asks_nothing_anew_for_everybody(): void
    {
        foreach (['trial', 'samples', 'none', 'observes', 'observed'] as $standing) {
            foreach (PeopleFilter::SORTS as $sort) {
                $filter = new PeopleFilter(holds: 'yard-trial', standing: $standing, endsIn: 3, ended: 3, label: 'x', sort: $sort);
                // What they are sorted by is asked of those alone whom it lets through.
                self::assertDoesNotMatchRegularExpression('/(?<!on )"\w+"\."(person|observer|learner)_id" = "people"\."id"/', explode(' order by ', $filter->query(0, [])->toSql())[0]);
            }
        }
    }

    private function many(int $count): void
    {
        $course = Course::query()->where('key', 'clinker')->sole();
        $offer = Offer::query()->where('key', 'apprentice-pass')->sole();
        $people = $passes = [];
        for ($n = 0; $n < $count; $n++) {
            $people[] = ['id' => 10_000 + $n, 'name' => "Person {$n}", 'email' => "p{$n}@many.test"];
            $passes[] = ['person_id' => 10_000 + $n, 'course_id' => $course->id, 'offer_id' => $offer->id, 'starts_at' => '2026-03-01 12:00:00', 'ends_at' => null];
        }
        foreach (array_chunk($people, 500) as $some) {
            Person::query()->insert($some);
        }
        foreach (array_chunk($passes, 500) as $some) {
            Pass::query()->insert($some);
        }
    }

    private function queriesOf(string $address): int
    {
        $this->app->forgetScopedInstances();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->get($address)->assertOk();

        return count(DB::getQueryLog());
    }

    public function test_all_that_a_filter_lets_through_are_acted_on_and_nobody_else(): void
    {
        $this->many(1200);
        $this->post('/keep/people/acts', ['do' => 'label', 'label' => 'many', 'filter' => ['find' => '@many.test']])->assertSessionHas('flash.kind', 'done');
        self::assertSame(1200, DB::table('labels')->where('label', 'many')->count());
        self::assertSame(1200, DB::table('labels')->join('people', 'people.id', '=', 'labels.person_id')->where('label', 'many')->where('email', 'like', '%@many.test')->count());
    }

    public function test_segments_are_kept_per_reader(): void
    {
        $this->post('/keep/people/segments', ['name' => 'Ending', 'filter' => ['ends_in' => '3', 'nonsense' => 'x']])->assertSessionHasNoErrors();
        $segment = SavedFilter::query()->sole();
        self::assertSame(['Ending', 'ends_in=3'], [$segment->name, $segment->query]);
        $this->actingAs($this->person('aksel'));
        self::assertSame([], $this->get('/keep/people')->inertiaProps('segments'));
        $this->delete("/keep/people/segments/{$segment->id}");
        self::assertSame(1, SavedFilter::query()->count());
    }

    /** @return list<array{string}> */
    public static function formulas(): array
    {
        return [['=1+1'], ['+1'], ['-1'], ['@SUM(A1)'], ["\t=1"], ["\r=1"]];
    }

    #[DataProvider('formulas')]
    public function test_the_list_as_csv_takes_no_name_for_a_formula(string $name): void
    {
        PersonFactory::new()->called($name, 'formula@alder.test')->createOne();
        $csv = $this->get('/keep/people.csv?find=formula')->assertOk()->streamedContent();
        self::assertSame("'{$name}", str_getcsv(explode("\r\n", $csv, 2)[1], escape: '')[0]);
    }

    public function test_sorted_by_end_whoever_has_no_end_stands_last(): void
    {
        $names = array_column((array) $this->get('/keep/people?holds=apprentice-pass&sort=ends')->inertiaProps('people'), 'name');
        $ends = array_map(static fn (mixed $name): ?string => Pass::query()->whereRelation('person', 'name', $name)->where('state', 'active')->where('ends_at', '>', '2026-03-10 12:00:00')->min('ends_at'), $names);
        self::assertGreaterThan(5, count(array_filter($ends)));
        $given = array_values(array_filter($ends));
        $sorted = $given;
        sort($sorted);
        self::assertSame($sorted, $given);
        $forGood = Pass::query()->whereRelation('offer', 'key', 'apprentice-pass')->orderBy('person_id')->firstOrFail();
        Pass::query()->where('person_id', $forGood->person_id)->update(['ends_at' => null]);
        $names = array_column((array) $this->get('/keep/people?holds=apprentice-pass&sort=ends')->inertiaProps('people'), 'name');
        self::assertSame(Person::query()->findOrFail($forGood->person_id)->name, end($names));
    }

    public function test_only_looked_at_samples_means_neither_a_pass_nor_another_way_in(): void
    {
        $look = fn (string $who, string $via) => DB::table('looks')->insert(['person_id' => $this->person($who)->id, 'course_id' => $this->course()->id, 'item_key' => 'x', 'via' => $via, 'first_at' => '2026-03-01 00:00:00', 'last_at' => '2026-03-01 00:00:00']);
        // Eira holds a pass and has looked at a sample; Målfrid has only looked at what is open to anyone.
        $look('eira', 'sample');
        $look('malfrid', 'anyone');
        self::assertSame(['Jonas Wren'], array_column((array) $this->get('/keep/people?standing=samples')->inertiaProps('people'), 'name'));
    }

    public function test_a_persons_page_tells_it_all(): void
    {
        $passes = $this->get("/keep/people/{$this->person('eira')->id}")->inertiaProps('passes');
        self::assertIsArray($passes);
        self::assertSame(['active', 'Mon 2 Mar, 13:00', 'Sat 29 Aug, 13:00', '172 days left', 'with the demo'], [$passes[0]['standing'], $passes[0]['from'], $passes[0]['until'], $passes[0]['left'], $passes[0]['source']]);
        $history = $this->get("/keep/people/{$this->person('eira')->id}")->inertiaProps('history');
        self::assertIsArray($history);
        self::assertContains('Observed by Amund Rud', array_column($history, 'words'));
        $this->get('/keep/people/99999')->assertNotFound();
    }

    public function test_those_who_are_chosen_come_in_the_order_of_their_numbers_however_the_list_is_sorted(): void
    {
        $ids = Value::ints(Person::query()->orderByDesc('name')->limit(5)->pluck('id'));
        $sorted = $ids;
        sort($sorted);
        self::assertSame($sorted, ChosenPeople::named($ids)->ids());
        $all = ChosenPeople::filtered(app(PeopleQuery::class), new PeopleFilter(sort: 'newest'))->ids();
        self::assertSame(Person::query()->orderBy('id')->pluck('id')->all(), $all);
    }

    #[DataProvider('files')]
    public function test_a_file_tells_the_progress_that_the_list_tells(string $query): void
    {
        $offer = Offer::query()->where('course_id', '!=', Course::query()->where('key', 'clinker')->value('id'))->whereHas('course', static fn ($course) => $course->whereNotNull('live_revision_id'))->firstOrFail();
        foreach (Pass::query()->distinct()->pluck('person_id') as $holder) {
            Pass::query()->create(['person_id' => $holder, 'course_id' => $offer->course_id, 'offer_id' => $offer->id, 'starts_at' => '2026-03-01 08:00:00', 'state' => 'active', 'source' => 'by hand']);
        }
        $listed = array_column((array) $this->get("/keep/people?{$query}")->assertOk()->inertiaProps('people'), 'progress', 'name');
        $told = [];
        foreach (array_slice(explode("\r\n", trim($this->get("/keep/people.csv?{$query}")->assertOk()->streamedContent())), 1) as $line) {
            $cells = str_getcsv($line, escape: '');
            $told[(string) $cells[0]] = $cells[5] === '' ? null : $cells[5];
        }

        self::assertGreaterThan(3, count(array_filter($listed)));
        self::assertSame($listed, array_intersect_key($told, $listed));
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        yield 'of all that is theirs' => [''];
        yield 'of one course' => ['course=clinker'];
    }

    public function test_csv_files_come_in_the_form_that_somebody_has_chosen_for_themselves(): void
    {
        $first = fn (string $path): string => explode("\r\n", $this->get($path)->assertOk()->streamedContent(), 2)[0];
        self::assertStringStartsWith('Name,E-mail,', $first('/keep/people.csv'));
        foreach (['semicolon-marked' => "\u{FEFF}Name;E-mail;", 'semicolon' => 'Name;E-mail;', 'comma-marked' => "\u{FEFF}Name,E-mail,"] as $form => $begins) {
            $this->put('/keep/csv-form', ['form' => $form])->assertSessionHasNoErrors();
            self::assertStringStartsWith($begins, $first('/keep/people.csv'));
            $this->get('/keep/people')->assertInertia(fn (Page $page) => $page->where('csvForm', $form));
        }
        self::assertStringStartsWith("\u{FEFF}Row,Kind,", $first('/keep/courses/clinker/sightlines.csv?v[]=visitor'));
        $this->put('/keep/csv-form', ['form' => 'pipes'])->assertSessionHasErrors('form');
        $this->put('/keep/csv-form', ['form' => ''])->assertSessionHasNoErrors();
        self::assertStringStartsWith('Name,E-mail,', $first('/keep/people.csv'));
        // For them alone.
        $this->put('/keep/csv-form', ['form' => 'semicolon']);
        $this->actingAs($this->person('aksel'));
        self::assertStringStartsWith('Name,E-mail,', $first('/keep/people.csv'));
    }
}
