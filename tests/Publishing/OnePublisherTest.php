<?php

declare(strict_types=1);

namespace Tests\Publishing;

use App\Models\Grant;
use App\Models\Pass;
use App\Models\Revision;
use App\Publishing\Seen\Receipt;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Drafts\EditsDrafts;
use Tests\Factories\GrantFactory;
use Tests\Factories\ObserverTieFactory;
use Tests\TestCase;

/** What takes something from people goes live only for whoever was just shown that, however it goes live. */
final class OnePublisherTest extends TestCase
{
    use EditsDrafts;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_looking_at_a_rehearsal_writes_nothing(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $this->rehearsal();
        $writes = [];
        DB::listen(static function ($query) use (&$writes): void {
            if (preg_match('/^\\s*(insert|update|delete)/i', $query->sql) === 1 && ! str_contains($query->sql, '"seen_at"')) {
                $writes[] = $query->sql;
            }
        });
        $this->rehearsal();
        self::assertSame([], $writes);
    }

    public function test_a_rehearsal_for_a_date_far_ahead_does_not_allow_publishing_now(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $this->publish(1, $this->rehearsal('for=2030-01-01T09:00')['receipt']);
        self::assertStringContainsString('was for another time', session('flash')['text']);
        self::assertSame(1, $this->live()->number);
    }

    public function test_what_another_administrator_was_shown_is_not_shown_to_this_one(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $receipt = $this->rehearsal()['receipt'];
        $this->actingAs($this->secondAdministrator())->publish(1, $receipt);
        self::assertSame(1, $this->live()->number);
    }

    public function test_a_receipt_holds_for_a_quarter_of_an_hour(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $receipt = $this->rehearsal()['receipt'];
        Carbon::setTestNow(Carbon::now()->addSeconds(Receipt::HOLDS));
        $this->publish(1, $receipt);
        self::assertSame(1, $this->live()->number);
        Carbon::setTestNow(Carbon::now()->subSecond());
        $this->publish(1, $receipt);
        self::assertSame(2, $this->live()->number);
    }

    public function test_a_receipt_cannot_be_made_up_or_made_younger(): void
    {
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $receipt = (string) $this->rehearsal()['receipt'];
        Carbon::setTestNow(Carbon::now()->addHour());
        foreach ([Carbon::now()->getTimestamp().strstr($receipt, '.'), '9999999999'.strstr($receipt, '.'), str_repeat('a', 64), '', '1.'.str_repeat('0', 64)] as $forged) {
            $this->publish(1, $forged);
            self::assertSame(1, $this->live()->number, $forged);
        }
    }

    public function test_a_receipt_over_what_was_live_before_another_publication_is_void(): void
    {
        $this->edit(0, 'sample', ['l-timber'], ['value' => 'yes']);
        $this->publish(1, null);
        $this->edit(0, 'tiers', ['l-garboard'], ['value' => []]);
        $draft = $this->draft();
        $receipt = $this->rehearsal()['receipt'];
        // Back to the first revision, by somebody else: the draft is the same, what it would change is not.
        $this->actingAs($this->secondAdministrator())->takeBack(2, 1, $this->rehearsal('back=1')['receipt']);
        self::assertSame(3, $this->live()->number);
        $this->actingAs($this->person('hege'))->publish($draft->version, $receipt);
        self::assertSame(3, $this->live()->number);
    }

    /** An apprentice of the demo lost Tuning a plane by that, and the page said "done". */
    public function test_taking_back_is_rehearsed_and_confirmed_like_any_publication(): void
    {
        $this->openAfter(0, 'm-tools', 0);
        $this->publish(1, null);
        self::assertSame(2, $this->live()->number);

        $this->takeBack(2, 1, null);
        self::assertStringContainsString('Look at the rehearsal first', session('flash')['text']);
        self::assertSame(2, $this->live()->number);

        $page = $this->rehearsal('back=1');
        self::assertSame(1, $page['back']);
        self::assertGreaterThan(0, $page['losers']);
        self::assertContains('Sunniva Dahl', array_merge(...array_column($page['totals'], 'names')));
        $this->takeBack(2, 1, $page['receipt']);
        self::assertSame([3, 'Back to revision 1'], [$this->live()->number, $this->live()->note]);
    }

    public function test_going_back_to_what_is_not_there_or_says_the_same_shows_the_course(): void
    {
        $this->get('/keep/courses/clinker/rehearsal?back=1')->assertRedirect('/keep/courses/clinker');
        $this->get('/keep/courses/clinker/rehearsal?back=77')->assertRedirect('/keep/courses/clinker');
        $this->get('/keep/courses/clinker/rehearsal?back[]=1')->assertRedirect('/keep/courses/clinker');
    }

    public function test_a_plan_file_does_not_take_anything_away_unasked(): void
    {
        $document = json_decode((string) $this->get('/keep/courses/clinker/plan.json')->getContent());
        self::assertInstanceOf(\stdClass::class, $document);
        foreach ($document->courses[0]->items as $item) {
            $item->tiers = [];
        }
        $file = tempnam(sys_get_temp_dir(), 'plan');
        file_put_contents((string) $file, json_encode($document));
        self::assertSame(1, Artisan::call('keep:import-plan', ['file' => $file, '--publish' => true]));
        self::assertSame(1, $this->live()->number);
        self::assertSame(0, Artisan::call('keep:import-plan', ['file' => $file, '--publish' => true, '--take-away' => true]));
        self::assertSame(2, $this->live()->number);
        unlink((string) $file);
    }

    /** "Nobody is touched" was said while an observer lost six items. */
    public function test_observers_who_lose_sight_are_counted_and_named(): void
    {
        $this->edited = 'steam-frames';
        ObserverTieFactory::new()->between($this->person('jonas'), $this->person('ask'))->createOne();
        $this->post('/keep/courses/steam-frames/draft/course', [...$this->settings(), 'version' => 0, 'observersOpen' => false])->assertSessionHasNoErrors();
        $page = $this->rehearsal(course: 'steam-frames');

        self::assertSame([], $page['totals']);
        self::assertGreaterThan(0, $page['losers']);
        self::assertSame('lose', $page['observerTotals'][0]['effect']);
        self::assertContains('Jonas Wren, with Ask Vollan', $page['observerTotals'][0]['names']);
        self::assertNotSame([], $page['observerRows']);
        $this->post('/keep/courses/steam-frames/revisions', ['version' => 1]);
        self::assertStringContainsString('Look at the rehearsal first', session('flash')['text']);
    }

    public function test_people_with_nothing_but_a_grant_are_counted(): void
    {
        Pass::query()->where('course_id', $this->course()->id)->update(['state' => 'revoked']);
        $jonas = $this->person('jonas');
        GrantFactory::new()->of($jonas)->at($this->course(), 'l-planes')->createOne(['starts_at' => '2026-03-01 00:00:00']);
        // A grant overrides everything but a draft.
        $this->edit(0, 'draft', ['l-planes'], ['value' => 'yes'])->assertSessionHasNoErrors();
        $page = $this->rehearsal();
        self::assertSame(['Jonas Wren'], array_column($page['totals'], 'names', 'effect')['lose'] ?? []);
        $this->publish(1, null);
        self::assertSame(1, $this->live()->number);
    }

    /** A pass that would end sooner for what it opens. */
    public function test_what_closes_sooner_is_a_loss(): void
    {
        $this->edit(0, 'closes', ['l-welcome'], ['plan' => 'weekly', 'rule' => 'on', 'at' => '2026-06-01T09:00'])->assertSessionHasNoErrors();
        $page = $this->rehearsal();
        self::assertSame(['shorter'], array_column($page['totals'], 'effect'));
        self::assertGreaterThan(0, $page['losers']);
        $this->publish(1, null);
        self::assertSame(1, $this->live()->number);
    }

    private function live(): Revision
    {
        return $this->course()->liveRevision ?? self::fail('It is not live.');
    }

    private function publish(int $version, ?string $receipt): void
    {
        $this->app->forgetScopedInstances();
        $this->post('/keep/courses/clinker/revisions', ['version' => $version, 'receipt' => $receipt]);
    }

    private function takeBack(int $live, int $number, ?string $receipt): void
    {
        $this->app->forgetScopedInstances();
        $this->post('/keep/courses/clinker/revisions/live', ['live' => $live, 'number' => $number, 'receipt' => $receipt]);
    }

    /** @return array<string, mixed> the course's form, as it is */
    private function settings(): array
    {
        $settings = [];
        $this->get('/keep/courses/steam-frames')->assertInertia(function (Page $page) use (&$settings): void {
            $settings = $page->toArray()['props']['settings'];
        });

        return $settings;
    }

    /** @return array<string, mixed> */
    private function rehearsal(string $query = '', string $course = 'clinker'): array
    {
        $this->app->forgetScopedInstances();
        $props = [];
        $this->get("/keep/courses/{$course}/rehearsal?{$query}")->assertOk()->assertInertia(function (Page $page) use (&$props): void {
            $props = $page->component('keep/Rehearsal')->toArray()['props'];
        });

        return $props;
    }
}
