<?php

declare(strict_types=1);

namespace Tests\People;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\PeopleFilter;
use App\People\PeopleQuery;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\PersonFactory;
use Tests\TestCase;

/** People sorted by what ends first: one after another where they are very many, all at once where they are few; the order is the same. */
final class SortedByEndTest extends TestCase
{
    private const PAGE = 7;

    /** @return iterable<string, array{PeopleFilter}> */
    public static function filters(): iterable
    {
        yield 'everybody' => [new PeopleFilter(sort: 'ends')];
        yield 'of an offer' => [new PeopleFilter(holds: 'apprentice-pass', sort: 'ends')];
        yield 'who never held a pass' => [new PeopleFilter(standing: 'none', sort: 'ends')];
        yield 'for whom something ends' => [new PeopleFilter(endsIn: 400, sort: 'ends')];
        yield 'nobody' => [new PeopleFilter(find: 'nobody-like-that', sort: 'ends')];
    }

    #[DataProvider('filters')]
    public function test_however_it_is_found_the_order_is_that_of_the_definition(PeopleFilter $filter): void
    {
        $this->demoSchool();
        $this->passes();
        $now = app(SchoolClock::class)->now();
        $expected = [];
        foreach (app(PeopleQuery::class)->unsorted($filter)->get() as $person) {
            $ends = Pass::query()->where('person_id', $person->id)->where('state', 'active')->get()->filter(static fn (Pass $pass): bool => $pass->starts_at->getTimestamp() <= $now && $pass->ends_at !== null && $pass->ends_at->getTimestamp() > $now);
            $expected[] = [$ends->isEmpty() ? PHP_INT_MAX : $ends->min(static fn (Pass $pass): int => (int) $pass->ends_at?->getTimestamp()), $person->id];
        }
        sort($expected);
        $ids = array_column($expected, 1);

        self::assertSame($ids, app(PeopleQuery::class)($filter)->toBase()->pluck('people.id')->all(), 'all at once');
        foreach (['sorted' => [PHP_INT_MAX, 0], 'one after another' => [0, PHP_INT_MAX], 'first the one, then the other' => [0, 20], 'the other from the second page' => [0, 0]] as $how => [$many, $near]) {
            $query = new PeopleQuery(app(SchoolClock::class), app(CourseShelf::class), $many, $near);
            $found = [];
            for ($from = 0; $from < count($ids) + self::PAGE; $from += self::PAGE) {
                $found = [...$found, ...$query->some($filter, $from, self::PAGE, count($ids))];
            }
            self::assertSame($ids, $found, $how);
        }
        $page = app(PeopleQuery::class)->page($filter, 2, self::PAGE);
        self::assertSame([array_slice($ids, $page->page === 1 ? 0 : self::PAGE, self::PAGE), count($ids)], [$page->ids, $page->total]);
        self::assertSame($page->pages, app(PeopleQuery::class)->page($filter, 99, self::PAGE)->page);
    }

    /** Ends on the same instant, one after another, past, paused, not begun, and none. */
    private function passes(): void
    {
        $offers = Offer::query()->orderBy('id')->get()->all();
        foreach (range(1, 30) as $n) {
            $person = PersonFactory::new()->createOne();
            foreach (range(1, $n % 4) as $k) {
                $offer = $offers[($n + $k) % count($offers)];
                $n % 4 === 0 || Pass::query()->create([
                    'person_id' => $person->id, 'course_id' => $offer->course_id, 'offer_id' => $offer->id, 'source' => 'by hand', 'state' => ($n + $k) % 5 === 0 ? 'paused' : 'active',
                    'starts_at' => ($n * $k) % 7 === 0 ? '2026-05-01 08:00:00' : '2026-01-01 08:00:00',
                    'ends_at' => ($n + $k) % 6 === 0 ? null : gmdate('Y-m-d H:i:s', (int) strtotime('2026-03-08 12:00:00') + ($n * 7 + $k * 5) % 11 * 86400),
                ]);
            }
        }
        self::assertGreaterThan(40, Person::query()->count());
    }
}
