<?php

declare(strict_types=1);

namespace Tests\School;

use App\Access\Plans;
use App\Access\Viewers;
use App\Models\Course;
use App\Models\Pass;
use App\Models\School;
use Illuminate\Support\Carbon;
use PHPUnit\Framework\Attributes\DataProvider;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;
use Tests\TestCase;

/** Another zone for the school: whom it moves, and the change. */
final class ZoneTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    /** @return array<array-key, mixed> */
    private function moves(string $zone): array
    {
        $this->inAnotherProcess();
        $address = '/keep/school/zone?'.http_build_query(['zone' => $zone]);
        // Tests count at once: what is told first is told before anybody is looked at.
        $this->getJson($address)->assertOk();
        $this->inAnotherProcess();

        return (array) $this->getJson($address)->assertOk()->json();
    }

    /** @return array<string, array{string, string}> */
    public static function shifts(): array
    {
        return [
            'east' => ['Asia/Tokyo', 'At present what the rules say for 09:00 comes 8 h sooner than now.'],
            'west, half an hour between' => ['America/St_Johns', 'At present what the rules say for 09:00 comes 3.5 h later than now.'],
            'the same at present' => ['Africa/Algiers', 'At present both clocks show the same time; they may part when one of them goes over to summer time.'],
        ];
    }

    #[DataProvider('shifts')]
    public function test_it_is_told_by_how_much_all_comes_sooner_or_later(string $zone, string $told): void
    {
        self::assertSame($told, $this->moves($zone)['told']);
    }

    public function test_whom_it_touches_is_what_the_engine_says_of_each(): void
    {
        $course = $this->course();
        $lines = array_column((array) $this->moves('Asia/Tokyo')['lines'], 'text');
        [$before, $after] = [$this->plan($course, 'Europe/Oslo'), $this->plan($course, 'Asia/Tokyo')];
        $now = (int) Carbon::now()->timestamp;
        $people = Pass::query()->where('course_id', $course->id)->where('state', 'active')->where('starts_at', '<=', Carbon::now())->where(static fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', Carbon::now()))->distinct()->pluck('person_id')->map(intval(...))->all();
        $touched = $sooner = 0;
        foreach (app(Viewers::class)->each(array_fill_keys($people, false), $course) as $id => $viewer) {
            $told = (new Impact($before, $after, $course->key, $now, $now + 365 * 86400))->on([new Person((string) $id, $viewer)])->toArray(names: false)['touched'];
            $touched += array_filter($told) === [] ? 0 : 1;
            $sooner += is_int($told['sooner'] ?? null) ? $told['sooner'] : 0;
        }
        self::assertGreaterThan(3, $sooner);
        self::assertStringStartsWith("Clinker planking: {$touched} people of ".count($people).' are touched', $lines[0]);
        self::assertStringContainsString("something comes sooner for {$sooner}", $lines[0]);
        // Rules without any wall-clock time move nobody.
        self::assertContains('Petrol engines for small boats: nobody of 1 is touched', $lines);
    }

    private function plan(Course $course, string $zone): \SilentKeep\Core\Outline\Plan
    {
        return app(Plans::class)->inZone(\App\Models\CourseDocument::fromJson((string) $course->liveRevision?->document), $zone);
    }

    public function test_rules_are_read_in_it_and_what_was_given_stays(): void
    {
        $ends = Pass::query()->orderBy('id')->pluck('ends_at')->all();
        $next = fn (): string => (string) json_encode($this->actingAs($this->person('sunniva'))->get('/courses/clinker')->assertOk()->inertiaProps());
        self::assertStringContainsString('Sun 15 Mar, 09:00', $next());
        self::assertStringContainsString('2026-03-15T08:00:00Z', $next());
        $this->actingAs($this->person('hege'))->put('/keep/school/zone', ['from' => 'Europe/Oslo', 'zone' => 'Asia/Tokyo'])->assertSessionHas('flash.text', 'All rules are read in the zone Asia/Tokyo now.');
        $this->inAnotherProcess();
        self::assertSame('Asia/Tokyo', School::query()->value('zone'));
        self::assertEquals($ends, Pass::query()->orderBy('id')->pluck('ends_at')->all());
        self::assertStringContainsString('Sun 15 Mar, 09:00', $next());
        // Nine in the morning there.
        self::assertStringContainsString('2026-03-15T00:00:00Z', $next());
    }

    public function test_of_two_who_change_it_the_second_is_told(): void
    {
        $this->put('/keep/school/zone', ['from' => 'Europe/Oslo', 'zone' => 'Asia/Tokyo'])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
        $this->put('/keep/school/zone', ['from' => 'Europe/Oslo', 'zone' => 'Europe/Lisbon'])->assertSessionHasErrors(['zone' => 'Somebody else has changed the zone meanwhile: it is Asia/Tokyo now.']);
        $this->put('/keep/school/zone', ['from' => 'Asia/Tokyo', 'zone' => 'Nowhere/Else'])->assertSessionHasErrors('zone');
        self::assertSame('Asia/Tokyo', School::query()->value('zone'));
        $this->actingAs($this->person('eira'))->put('/keep/school/zone', ['from' => 'Asia/Tokyo', 'zone' => 'Europe/Lisbon'])->assertNotFound();
        $this->getJson('/keep/school/zone?zone=Europe/Lisbon')->assertNotFound();
    }
}
