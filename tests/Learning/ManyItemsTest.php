<?php

declare(strict_types=1);

namespace Tests\Learning;

use App\Models\Course;
use App\Models\Medium;
use App\Models\Offer;
use App\Models\School;
use App\People\MakePass;
use App\Publishing\Plans\ImportPlan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Factories\BoardPostFactory;
use Tests\Factories\ContentFactory;
use Tests\Factories\ObserverTieFactory;
use Tests\TestCase;

/** However long a course is, its pages ask the database as often. */
final class ManyItemsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    private function build(string $key, int $items): void
    {
        $modules = [];
        for ($m = 0; $m * 10 < $items; $m++) {
            $lessons = array_map(static fn (int $l): array => ['key' => "m{$m}-l{$l}", 'kind' => 'lesson', 'title' => "Lesson {$l} of {$m}"] + ($l === 5 ? ['after' => ['all' => ["m{$m}-l4"]]] : []), range(1, 9));
            $modules[] = ['key' => "m{$m}", 'kind' => 'module', 'title' => "Module {$m}", 'items' => $lessons];
        }
        app(ImportPlan::class)((string) json_encode([
            'format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true],
            'offers' => [['key' => "of-{$key}", 'course' => $key, 'title' => 'A pass', 'lasts' => ['days' => 100]]],
            'courses' => [['key' => $key, 'title' => $key, 'state' => 'live', 'entry' => 'offer', 'observer_door' => ['open' => true, 'default' => true], 'items' => [['key' => 'b', 'kind' => 'board', 'title' => 'A board'], ...$modules]]],
        ]), School::query()->firstOrFail());
        $course = Course::query()->where('key', $key)->firstOrFail();
        for ($m = 0; $m * 10 < $items; $m++) {
            ContentFactory::new()->at($course, "m{$m}-l1")->createOne(['quiz' => [['ask' => 'Which?', 'answers' => ['a', 'b'], 'right' => [0]]]]);
            foreach (range(1, 3) as $n) {
                Medium::query()->create(['course_id' => $course->id, 'item_key' => "m{$m}-l1", 'kind' => 'image', 'title' => "{$n}", 'name' => 'a.png', 'path' => "{$key}/{$m}/{$n}", 'type' => 'image/png', 'bytes' => 1, 'position' => $n]);
            }
            BoardPostFactory::new()->at($course, 'b')->createOne(['person_id' => $this->person('eira')->id + $m]);
        }
        ContentFactory::new()->at($course, 'b')->createOne(['text' => '', 'board' => 'discussion']);
        app(MakePass::class)($this->person('eira'), Offer::query()->with('course.liveRevision')->where('key', "of-{$key}")->firstOrFail(), now()->getTimestamp() - 86400);
    }

    #[DataProvider('pages')]
    public function test_pages_of_400_items_ask_as_often_as_pages_of_20(string $who, string $page, int $status): void
    {
        $this->build('short', 20);
        $this->build('long', 400);
        if ($who === 'jonas') {
            ObserverTieFactory::new()->between($this->person('jonas'), $this->person('eira'))->createOne();
            $this->actingAs($this->person('jonas'))->post('/look-with', ['learner' => $this->person('eira')->id]);
        }
        $who === '' ? null : $this->actingAs($this->person($who));
        $queries = [];
        // Each once before it counts: the first look at a lesson is noted.
        foreach (['short', 'long', 'short', 'long'] as $course) {
            $this->app->forgetScopedInstances();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->get("/courses/{$course}{$page}")->assertStatus($status);
            $queries[$course] = count(DB::getQueryLog());
        }
        self::assertSame($queries['short'], $queries['long']);
        self::assertLessThan(25, $queries['long']);
    }

    /** @return array<string, array{string, string, int}> */
    public static function pages(): array
    {
        return [
            'a course' => ['eira', '', 200],
            'a lesson' => ['eira', '/m0-l1', 200],
            'a module' => ['eira', '/m1', 200],
            'a notice' => ['eira', '/m1-l5', 403],
            'a discussion' => ['eira', '/b', 200],
            'a course for a visitor' => ['', '', 200],
            'a notice for a visitor' => ['', '/m0-l1', 401],
            'a lesson for an observer' => ['jonas', '/m0-l1', 200],
        ];
    }
}
