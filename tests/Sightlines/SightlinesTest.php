<?php

declare(strict_types=1);

namespace Tests\Sightlines;

use App\Access\SchoolOf;
use App\Models\Completion;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Sightlines\Vantages\Vantages;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\GrantFactory;
use Tests\TestCase;

final class SightlinesTest extends TestCase
{
    use AsksSightlines;
    use EditsDrafts;

    private const NOW = '2026-03-10T12:00:00Z';

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool(self::NOW);
        $this->actingAs($this->person('hege'));
    }

    /** Over all demo courses, every kind of vantage and 20 instants, past and to come. */
    public function test_each_cell_is_what_the_decide_command_says(): void
    {
        $eira = $this->person('eira');
        foreach (['l-welcome' => '-5 days', 'l-planes' => '-1 days -3 hours'] as $item => $when) {
            Completion::query()->updateOrCreate(
                ['person_id' => $eira->id, 'course_id' => $this->course()->id, 'item_key' => $item],
                ['completed_at' => new \DateTimeImmutable(self::NOW.' '.$when)],
            );
        }
        GrantFactory::new()->of($eira)->at($this->course(), 'm-planks')->createOne(['starts_at' => new \DateTimeImmutable('2026-03-12T08:00:00Z'), 'ends_at' => new \DateTimeImmutable('2026-03-14T08:00:00Z'), 'created_at' => '2026-02-20 08:00:00']);
        // The command knows of each pass at whatever instant.
        DB::table('passes')->update(['created_at' => '2026-01-01 00:00:00']);
        $this->asIfWrittenThen();
        $compared = 0;
        foreach (Course::query()->with('liveRevision')->whereNotNull('live_revision_id')->get() as $course) {
            $document = CourseDocument::fromJson((string) $course->liveRevision?->document);
            $people = ["person:{$eira->id}", "person:{$this->person('torvald')->id}", "person:{$this->person('hege')->id}", "observer:person:{$eira->id}"];
            $vantages = ['visitor', 'guest', 'member', ...$people];
            foreach ($document->readOffers() as $offer) {
                $key = $offer->key();
                array_push($vantages, "holder:3:{$key}", "holder:-4:{$key}", "diligent:40:{$key}", "observer:holder:9:{$key}", "observer:diligent:30:{$key}");
            }
            foreach (array_chunk($vantages, Vantages::MOST) as $some) {
                $compared += $this->compareWithTheCommand($course, $document, $some);
            }
        }
        self::assertGreaterThan(15000, $compared);
    }

    /**
     * @param  list<string>  $vantages
     * @return int how many cells were compared
     */
    private function compareWithTheCommand(Course $course, CourseDocument $document, array $vantages): int
    {
        $grid = $this->sightlines($course->key, $vantages, '2026-03-01T00:00:00Z');
        self::assertSame($vantages, array_column($grid->vantages, 'id'));
        $instants = self::instants();
        $answers = $this->decided($document, $course, $vantages, $instants);
        foreach ($vantages as $column => $vantage) {
            foreach ($instants as $at) {
                $told = [];
                for ($row = 0; $row < count($grid->cells); $row++) {
                    $told[] = self::sightAt($grid, $row, $column, $at);
                }
                self::assertSame($answers["{$vantage} {$at}"], $told, "{$course->key} {$vantage} ".gmdate('c', $at));
            }
        }

        return count($grid->cells) * count($vantages) * count($instants);
    }

    /** @return list<int> */
    private static function instants(): array
    {
        $now = (int) strtotime(self::NOW);
        $instants = [$now];
        for ($n = 1; $n < 20; $n++) {
            // Now and then to the second at which something opens, and the one before.
            $instants[] = $now - 8 * 86400 + $n * $n * 43200 + ($n % 3) * 3599;
        }

        return $instants;
    }

    /**
     * @param  list<string>  $vantages
     * @param  list<int>  $instants
     * @return array<string, mixed> by vantage and instant
     */
    private function decided(CourseDocument $document, Course $course, array $vantages, array $instants): array
    {
        $asks = [];
        foreach ($vantages as $vantage) {
            $viewer = $this->viewerOf($course, $vantage);
            foreach ($instants as $at) {
                $asks[] = ['id' => "{$vantage} {$at}", 'course' => $course->key, 'at' => gmdate('Y-m-d\TH:i:s\Z', $at), 'viewer' => $viewer];
            }
        }
        $plan = (string) tempnam(sys_get_temp_dir(), 'plan');
        $file = (string) tempnam(sys_get_temp_dir(), 'asks');
        file_put_contents($plan, $document->planJson(app(SchoolOf::class)()));
        file_put_contents($file, json_encode($asks, JSON_THROW_ON_ERROR));
        self::assertSame(0, Artisan::call('keep:decide', ['--plan' => $plan, '--asks' => $file]));
        $told = json_decode(Artisan::output(), true, 512, JSON_THROW_ON_ERROR);
        unlink($plan);
        unlink($file);
        $answers = [];
        foreach ($told as $one) {
            $answers[$one['id']] = array_map(static fn (array $item): array => [
                $item['state'], $item['via'], $item['state'] === 'open' && ! $item['act'], $item['why'],
                $item['next'] === null ? null : strtotime($item['next']['at']), $item['next']['state'] ?? null,
            ], $one['items']);
        }

        return $answers;
    }

    public function test_a_cell_says_what_the_holder_sees_on_the_chosen_day(): void
    {
        $grid = $this->sightlines('clinker', ['visitor', 'holder:8:apprentice-pass', 'holder:9:yard-trial']);
        self::assertSame(['sample', null], self::shown($grid, 3, 0));
        self::assertSame(['open', 'to 29 Aug'], self::shown($grid, 5, 1));
        self::assertSame(['locked', 'other tier'], self::shown($grid, 9, 1));
        self::assertSame(['open', 'to 11 Mar'], self::shown($grid, 6, 2));
        self::assertSame(8, $grid->vantages[1]->day);
        self::assertSame((new \DateTimeImmutable('2026-03-02T12:00:00Z'))->getTimestamp(), $grid->vantages[1]->since);
    }

    public function test_the_diligent_have_finished_what_was_open_so_far(): void
    {
        $grid = $this->sightlines('clinker', ['holder:8:apprentice-pass', 'diligent:8:apprentice-pass']);
        self::assertSame('locked', self::shown($grid, 8, 0)[0]);
        self::assertSame('open', self::shown($grid, 8, 1)[0]);
        self::assertTrue($grid->vantages[1]->diligent);
    }

    public function test_the_instant_can_be_chosen_in_the_schools_zone_or_as_an_instant(): void
    {
        $skipped = $this->sightlines('clinker', null, '2026-03-29T02:30');
        self::assertSame((new \DateTimeImmutable('2026-03-29T01:30:00Z'))->getTimestamp(), $skipped->at);
        self::assertSame((new \DateTimeImmutable('2026-10-25T00:30:59Z'))->getTimestamp(), $this->sightlines('clinker', null, '2026-10-25T00:30:59Z')->at);
    }

    /** The page tells of the instant in its address; what comes after follows in one request. */
    public function test_the_page_tells_of_the_instant_alone_and_the_same(): void
    {
        $vantages = ['guest', 'holder:8:apprentice-pass', 'observer:holder:3:journeyman-pass'];
        foreach ([null, '2026-03-05T12:00:00Z', '2026-07-01T12:00:00Z'] as $at) {
            $page = $this->get('/keep/courses/clinker?'.http_build_query(['lens' => 'sightlines', 'v' => $vantages, 'at' => $at]))->inertiaProps('sightlines');
            $page = json_decode(json_encode($page, JSON_THROW_ON_ERROR), false, 512, JSON_THROW_ON_ERROR);
            self::assertInstanceOf(\stdClass::class, $page);
            $grid = $this->sightlines('clinker', $vantages, $at);
            self::assertFalse($page->overTime);
            self::assertEquals($grid->vantages, $page->vantages);
            self::assertSame(18, count($page->cells));
            foreach (range(0, 17) as $row) {
                foreach ([0, 1, 2] as $column) {
                    self::assertSame(self::sightAt($grid, $row, $column, $grid->at), self::sightAt($page, $row, $column, $page->at));
                }
            }
        }
    }

    public function test_nonsense_in_the_address_falls_back_to_the_usual(): void
    {
        $this->get('/keep/courses/clinker?lens=x&at=yesterday&plan=none')->assertOk();
        self::assertSame((new \DateTimeImmutable(self::NOW))->getTimestamp(), $this->sightlines('clinker', null, 'yesterday')->at);
        $grid = $this->sightlines('clinker', ['visitor', 'visitor', 'king', 'holder:99999:taster', 'holder:x:taster', 'observer:visitor', 'person:0', 'person:99999999999999999999', 'guest', 'holder:1:nothing', 'person:424242']);
        self::assertSame(['visitor', 'guest'], array_column($grid->vantages, 'id'));
        self::assertTrue($grid->missing);
        $this->get('/keep/courses/clinker?lens=sightlines&v=7&at[]=1&see[]=2')->assertOk();
        $this->get('/keep/courses/nothing')->assertNotFound();
    }

    public function test_only_staff_see_through_other_eyes(): void
    {
        $this->actingAs($this->person('eira'))->get('/keep/courses/clinker?lens=sightlines')->assertNotFound();
        $this->actingAs($this->person('aksel'))->get('/keep/courses/clinker?lens=sightlines')->assertOk();
    }

    public function test_the_draft_can_be_seen_beside_what_is_published(): void
    {
        $this->openAfter(0, 'm-tools', 3);
        $this->outline(1, ['do' => 'add', 'item' => 'l-rivets', 'inside' => false, 'kind' => 'lesson', 'titles' => 'Burrs']);
        $vantages = ['holder:4:apprentice-pass'];
        self::assertSame('open', self::shown($this->sightlines('clinker', $vantages), 6, 0)[0]);
        self::assertSame('later', self::shown($this->sightlines('clinker', $vantages, null, 'published'), 6, 0)[0]);
        $both = $this->sightlines('clinker', $vantages, null, 'both');
        self::assertSame('open', self::shown($both, 6, 0)[0]);
        self::assertSame('later', self::shown($both, 6, 0, $both->before)[0]);
        // The row that is not live yet has nothing beside it.
        self::assertSame([], $both->before[14][0]);
        self::assertNotSame([], $both->cells[14][0]);
    }

    public function test_however_many_vantages_there_are_the_queries_are_as_many(): void
    {
        $people = array_map(fn (string $name): string => "person:{$this->person($name)->id}", ['eira', 'torvald', 'sunniva']);
        // What is asked once for all requests of this process.
        $this->queriesOf([$people[0]]);
        $one = $this->queriesOf([$people[0]]);
        self::assertSame($one, $this->queriesOf([...$people, "observer:{$people[0]}", 'holder:3:apprentice-pass', 'diligent:30:journeyman-pass', 'guest']));
        self::assertLessThan(20, $one);
    }

    /** @param  list<string>  $vantages */
    private function queriesOf(array $vantages): int
    {
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->sightlines('clinker', $vantages);

        return count(DB::getQueryLog());
    }
}
