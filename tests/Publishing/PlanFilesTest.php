<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Activity;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Revision;
use App\Models\School;
use Illuminate\Support\Facades\Artisan;
use Tests\Factories\SchoolFactory;
use Tests\TestCase;

final class PlanFilesTest extends TestCase
{
    private const CLINKER = __DIR__.'/../cases/clinker.plan.json';

    protected function setUp(): void
    {
        parent::setUp();
        SchoolFactory::new()->createOne();
    }

    public function test_a_plan_comes_back_equal(): void
    {
        self::assertSame(0, Artisan::call('keep:import-plan', ['file' => self::CLINKER]));
        self::assertSame(0, Artisan::call('keep:export-plan', ['course' => 'clinker']));

        self::assertJsonStringEqualsJsonFile(self::CLINKER, Artisan::output());
    }

    public function test_what_json_can_tell_apart_stays_apart(): void
    {
        $plan = ['format' => 'silent-keep.plan/1', 'school' => ['zone' => 'Europe/Oslo', 'guests' => true], 'offers' => [], 'courses' => [[
            'key' => 'c', 'state' => 'live', 'entry' => 'offer', 'tiers' => [], 'plans' => new \stdClass, 'display' => new \stdClass,
            'items' => [['key' => '12', 'kind' => 'lesson', 'title' => 'Ø "quoted" / slash', 'never_for' => [], 'guests' => null, 'finish' => ['by' => 'watch', 'share' => 1.0]]],
        ]]];
        $file = $this->file((string) json_encode($plan, JSON_PRESERVE_ZERO_FRACTION));

        self::assertSame(0, Artisan::call('keep:import-plan', ['file' => $file]), Artisan::output());
        Artisan::call('keep:export-plan', ['course' => 'c']);
        $exported = Artisan::output();

        self::assertJsonStringEqualsJsonFile($file, $exported);
        self::assertStringContainsString('"display": {}', $exported);
        self::assertStringContainsString('"tiers": []', $exported);
    }

    public function test_a_bad_plan_leaves_nothing_behind(): void
    {
        $plan = json_decode((string) file_get_contents(self::CLINKER), true);
        $second = $plan['courses'][0];
        $second['key'] = 'other';
        $second['items'][0]['kind'] = 'chapter';
        $plan['courses'][] = $second;

        self::assertSame(1, Artisan::call('keep:import-plan', ['file' => $this->file((string) json_encode($plan))]));
        self::assertSame(0, Course::query()->count());
        self::assertSame(0, Offer::query()->count());
    }

    public function test_the_same_plan_twice_changes_nothing(): void
    {
        Artisan::call('keep:import-plan', ['file' => self::CLINKER]);
        self::assertSame(0, Artisan::call('keep:import-plan', ['file' => self::CLINKER]));

        self::assertStringContainsString('clinker: unchanged', Artisan::output());
        self::assertSame(1, Revision::query()->count());
    }

    public function test_other_rules_for_a_course_that_is_there_need_to_be_meant(): void
    {
        Artisan::call('keep:import-plan', ['file' => self::CLINKER]);
        $plan = json_decode((string) file_get_contents(self::CLINKER));
        $plan->courses[0]->title = 'Carvel planking';
        $file = $this->file((string) json_encode($plan));

        self::assertSame(1, Artisan::call('keep:import-plan', ['file' => $file]));
        self::assertSame(1, Revision::query()->count());
        self::assertSame(0, Artisan::call('keep:import-plan', ['file' => $file, '--publish' => true]));
        self::assertSame([1, 2], Revision::query()->orderBy('number')->pluck('number')->all());
        self::assertSame(2, Activity::query()->where('action', 'course.published')->count());
    }

    public function test_a_plan_of_another_zone_does_not_move_the_school(): void
    {
        Artisan::call('keep:import-plan', ['file' => self::CLINKER]);
        $plan = json_decode((string) file_get_contents(self::CLINKER));
        $plan->school->zone = 'Australia/Lord_Howe';
        $plan->courses[0]->key = 'other';
        $plan->offers = [];

        self::assertSame(1, Artisan::call('keep:import-plan', ['file' => $this->file((string) json_encode($plan))]));
        self::assertSame('Europe/Oslo', School::query()->firstOrFail()->zone);
    }

    public function test_an_offer_of_another_course_is_not_taken_from_it(): void
    {
        Artisan::call('keep:import-plan', ['file' => self::CLINKER]);
        $plan = json_decode((string) file_get_contents(self::CLINKER));
        $plan->courses[0]->key = 'other';
        foreach ($plan->offers as $index => $offer) {
            $offer->course = 'other';
            $offer->key = $index === 1 ? $offer->key : "other-{$offer->key}";
        }

        self::assertSame(1, Artisan::call('keep:import-plan', ['file' => $this->file((string) json_encode($plan))]));
        self::assertStringContainsString('/offers/1/key: another course of this school has an offer of this key: the text "'.$plan->offers[1]->key.'"', Artisan::output());
        self::assertFalse(Course::query()->where('key', 'other')->exists());
        // Under keys of its own it comes in.
        $plan->offers[1]->key = 'other-one';
        self::assertSame(0, Artisan::call('keep:import-plan', ['file' => $this->file((string) json_encode($plan))]), Artisan::output());
    }

    public function test_a_revision_stays_as_it_was_published(): void
    {
        Artisan::call('keep:import-plan', ['file' => self::CLINKER]);
        $this->expectException(\LogicException::class);
        Revision::query()->firstOrFail()->update(['note' => 'other']);
    }

    public function test_validate_prints_each_offence_with_its_pointer(): void
    {
        $file = $this->file('{"format": "silent-keep.plan/1", "school": {"zone": "Mars/Olympus"}, "offers": [], "courses": [{"key": "c", "state": "live", "entry": "anyone", "items": [{"key": "a", "kind": "lesson", "colour": 1}]}]}');

        self::assertSame(1, Artisan::call('keep:validate', ['plan' => $file]));
        $output = Artisan::output();
        self::assertStringContainsString('/school/zone: ', $output);
        self::assertStringContainsString('/courses/0/items/0/colour: ', $output);
        self::assertSame(0, Artisan::call('keep:validate', ['plan' => self::CLINKER]));
    }

    private function file(string $text): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'plan');
        file_put_contents($file, $text);
        $this->beforeApplicationDestroyed(static fn () => @unlink($file));

        return $file;
    }
}
