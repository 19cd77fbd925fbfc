<?php

declare(strict_types=1);

namespace Tests\Offers;

use App\Models\Course;
use App\Models\Offer;
use Inertia\Testing\AssertableInertia as Page;
use Tests\TestCase;

/** Where there are many courses, their offers come ten courses at a time. */
final class ManyOffersTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_each_course_is_on_one_page_and_all_offers_can_be_chosen_on_each(): void
    {
        $revision = $this->course('sails')->live_revision_id;
        foreach (range(1, 45) as $number) {
            Course::query()->create(['key' => "more-{$number}", 'live_revision_id' => $revision, 'hidden' => false, 'about' => '', 'subject' => '']);
        }
        $all = Course::query()->orderBy('id')->pluck('key')->all();
        $pages = (int) ceil(count($all) / 10);
        $seen = [];
        foreach (range(1, $pages) as $page) {
            $this->get("/keep/offers?page={$page}")->assertOk()->assertInertia(function (Page $told) use (&$seen, $page, $pages): Page {
                $props = $told->toArray()['props'];
                $seen = [...$seen, ...array_column($props['courses'], 'key')];
                self::assertSame(Offer::query()->orderBy('id')->pluck('key')->all(), array_column($props['offers'], 'key'));

                return $told->where('page', $page)->where('pages', $pages);
            });
        }
        self::assertSame($all, $seen);
    }

    public function test_a_link_to_a_course_leads_to_its_page_and_odd_numbers_to_one_that_there_is(): void
    {
        $revision = $this->course('sails')->live_revision_id;
        foreach (range(1, 25) as $number) {
            Course::query()->create(['key' => "more-{$number}", 'live_revision_id' => $revision, 'hidden' => false, 'about' => '', 'subject' => '']);
        }
        $on = fn (string $query): int => $this->get("/keep/offers{$query}")->assertOk()->viewData('page')['props']['page'];
        self::assertSame([1, 4, 1, 4, 1, 1], [$on('?course=clinker'), $on('?course=more-25'), $on('?page=0'), $on('?page=999999'), $on('?page=x'), $on('?course=nothing')]);
    }
}
