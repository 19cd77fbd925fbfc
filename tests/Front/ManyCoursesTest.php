<?php

declare(strict_types=1);

namespace Tests\Front;

use App\Models\Course;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use Tests\SchoolFile;
use Tests\TestCase;

/** A school with more courses than fit on one front. */
final class ManyCoursesTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Carbon::setTestNow('2026-03-10T12:00:00Z');
        SchoolFile::filled('two hundred courses', function (): void {
            $this->demoSchool();
            $courses = array_map(static fn (int $n): array => ['key' => sprintf('day-%03d', $n), 'title' => sprintf('Day %03d at the yard', $n), 'state' => 'live', 'entry' => 'anyone', 'items' => [['key' => "day-{$n}-look", 'kind' => 'lesson', 'title' => 'A look']]], range(1, 200));
            $file = (string) tempnam(sys_get_temp_dir(), 'plan');
            file_put_contents($file, json_encode(['format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true], 'offers' => [], 'courses' => $courses]));
            self::assertSame(0, Artisan::call('keep:import-plan', ['file' => $file]), Artisan::output());
            unlink($file);
        });
        $this->inAnotherProcess();
    }

    public function test_every_course_stands_on_one_of_its_parts_once(): void
    {
        $seen = [];
        $asked = 0;
        for ($address = '/'; $address !== null; $asked++) {
            [$courses, $part] = $this->front($address);
            self::assertLessThanOrEqual(96, count($courses));
            $seen = [...$seen, ...$courses];
            $address = $part['later'] ?? null;
            self::assertLessThan(9, $asked);
        }
        self::assertSame(count($seen), count(array_unique($seen)));
        self::assertCount(200, array_filter($seen, static fn (string $key): bool => str_starts_with($key, 'day-')));
        self::assertContains('clinker', $seen);
        self::assertSame(3, $asked);
    }

    public function test_the_last_part_leads_back_and_a_page_that_is_not_there_is_the_last(): void
    {
        [$courses, $part] = $this->front('/?page=99');
        self::assertSame(['/?page=2', null], [$part['earlier'] ?? null, $part['later'] ?? null]);
        self::assertStringContainsString(' of ', $part['told'] ?? '');
        self::assertSame($courses, $this->front('/?page=3')[0]);
        self::assertSame($this->front('/')[0], $this->front('/?page=-4')[0]);
        self::assertSame('/', $this->front('/?page=2')[1]['earlier'] ?? null);
        self::assertSame($this->front('/')[0], $this->front('/?page[]=2&subject[]=x')[0]);
    }

    public function test_a_subject_is_narrowed_to_by_the_server(): void
    {
        DB::table('courses')->where('key', 'like', 'day-%')->where('key', '<', 'day-121')->update(['subject' => 'Days at the yard', 'updated_at' => now()->addSecond()]);
        [$courses, $part] = $this->front('/?subject=Days%20at%20the%20yard');
        self::assertCount(96, $courses);
        self::assertSame(['Days at the yard', '/?subject=Days%20at%20the%20yard&page=2'], [$part['subject'] ?? null, $part['later'] ?? null]);
        self::assertCount(24, $this->front((string) ($part['later'] ?? ''))[0]);
        [$hull, $part] = $this->front('/?subject=Hull');
        self::assertContains('clinker', $hull);
        self::assertSame([null, null], [$part['earlier'] ?? null, $part['later'] ?? null]);
        self::assertSame('', $this->front('/?subject=nothing%20of%20ours')[1]['subject'] ?? null);
    }

    public function test_without_scripts_the_parts_are_linked_too(): void
    {
        $html = (string) $this->get('/')->getContent();
        self::assertStringContainsString('<a href="/?page=2">More courses</a>', $html);
        self::assertSame(96, substr_count($html, '_card_front'));
    }

    public function test_few_courses_are_all_there(): void
    {
        Course::query()->where('key', 'like', 'day-%')->update(['live_revision_id' => null]);
        self::assertNull($this->front('/')[1]);
    }

    /** @return array{list<string>, ?array<string, string>} keys of the courses that are shown; which part they are */
    private function front(string $address): array
    {
        $this->app->forgetScopedInstances();
        $found = [[], null];
        $this->get($address)->assertOk()->assertInertia(function (Page $page) use (&$found): void {
            $props = $page->toArray()['props'];
            $found = [array_column((array) $props['courses'], 'key'), $props['part']];
        });

        return $found;
    }
}
