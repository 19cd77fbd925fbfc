<?php

declare(strict_types=1);

namespace Tests\Privacy;

use App\Models\Pass;
use App\Models\Person;
use App\School\Keeping\KeptDays;
use App\School\Keeping\KeptKind;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What is kept of people is let go of after the days that the school has set. */
final class KeptTest extends TestCase
{
    use LeavesTraces;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    #[DataProvider('kinds')]
    public function test_rows_go_when_they_are_older_than_that_and_not_a_day_sooner(KeptKind $kind, string $table, string $column): void
    {
        $days = $kind->least() + 5;
        $this->set([$kind->value => $days]);
        DB::table($table)->delete();
        foreach ([$days * 86_400 + 60, $days * 86_400 - 60] as $seconds) {
            $this->rowSaying($table, "row of {$seconds}");
            DB::table($table)->where('id', DB::table($table)->max('id'))->update([$column => now()->subSeconds($seconds)->utc()->format('Y-m-d H:i:s')]);
        }
        $kept = DB::table($table)->max('id');
        self::assertSame(0, Artisan::call('keep:clean-up'));
        self::assertSame([$kept], DB::table($table)->pluck('id')->all());
        $this->set([$kind->value => null]);
        $this->travel(20)->years();
        self::assertSame(0, Artisan::call('keep:clean-up'));
        self::assertSame($kind->mayStayForGood() ? [$kept] : [], DB::table($table)->pluck('id')->all());
    }

    /** @return iterable<string, array{KeptKind, string, string}> */
    public static function kinds(): iterable
    {
        yield 'letters' => [KeptKind::Letters, 'messages', 'written_at'];
        yield 'events to others' => [KeptKind::Events, 'outside_events', 'made_at'];
        yield 'events of others' => [KeptKind::Events, 'incoming_events', 'received_at'];
        yield 'runs of triggers' => [KeptKind::Runs, 'trigger_runs', 'made_at'];
        yield 'log' => [KeptKind::Log, 'activities', 'happened_at'];
        yield 'forms' => [KeptKind::FormAnswers, 'form_answers', 'sent_at'];
        yield 'next runs' => [KeptKind::NextRuns, 'next_runs', 'asked_at'];
        yield 'visits' => [KeptKind::Visits, 'visits', 'last_at'];
        yield 'watching' => [KeptKind::Reports, 'watch_reports', 'stored_at'];
    }

    public function test_the_schools_of_before_lose_nothing_and_new_ones_begin_with_sensible_days(): void
    {
        self::assertSame([400, 400, 400, null, null, null, 400, 90, 30, 7, null], array_map(app(KeptDays::class)->of(...), KeptKind::cases()));
        self::assertSame([400, 400, 400, 1095, 730, 365, 400, 90, 30, 7, null], array_values(KeptDays::atFirst()));
    }

    public function test_where_the_ledger_ended_each_day_stays_in_the_log(): void
    {
        $this->set(['log' => 90]);
        Artisan::call('keep:note-ledger');
        $noted = DB::table('activities')->where('action', 'ledger.head')->count();
        $this->travel(2)->years();
        Artisan::call('keep:clean-up');
        self::assertSame([$noted, 0], [DB::table('activities')->where('action', 'ledger.head')->count(), DB::table('activities')->where('action', '!=', 'ledger.head')->count()]);
    }

    public function test_people_who_left_are_erased_and_all_others_are_not(): void
    {
        $pass = Pass::query()->where('person_id', $this->person('kaia')->id)->sole();
        $of = ['course_id' => $pass->course_id, 'offer_id' => $pass->offer_id, 'starts_at' => '2024-01-01T00:00:00Z', 'state' => 'active', 'source' => 'test'];
        $someone = static fn (string $name, ?string $seen = '2025-01-01 00:00:00'): Person => Person::query()->create(['name' => "{$name} of Before", 'email' => "{$name}@before.test", 'seen_at' => $seen, 'created_at' => '2024-01-01 00:00:00']);
        $gone = $someone('gone');
        $ended = $someone('ended');
        Pass::query()->create([...$of, 'person_id' => $ended->id, 'ends_at' => '2025-02-01T00:00:00Z']);
        $withdrawn = $someone('withdrawn');
        Pass::query()->create([...$of, 'person_id' => $withdrawn->id, 'ends_at' => null, 'state' => 'revoked']);
        $never = $someone('never', null);
        $kept = [$someone('here', '2026-03-01 00:00:00'), $someone('holding'), $someone('lately'), $someone('observer'), $someone('staff')];
        Pass::query()->create([...$of, 'person_id' => $kept[1]->id, 'ends_at' => null]);
        Pass::query()->create([...$of, 'person_id' => $kept[2]->id, 'ends_at' => '2026-03-01T00:00:00Z']);
        DB::table('observer_ties')->insert(['observer_id' => $kept[3]->id, 'learner_id' => $kept[1]->id]);
        $kept[4]->forceFill(['role' => 'looker-on'])->save();
        Person::query()->whereNotIn('id', [$gone->id, $ended->id, $withdrawn->id, $never->id, ...array_map(static fn (Person $one): int => $one->id, $kept)])->update(['seen_at' => '2026-03-09 00:00:00']);

        Artisan::call('keep:clean-up');
        self::assertSame([], $this->erased());
        self::assertSame(4, $this->actingAs($this->person('hege'))->get('/keep/school/kept/departed?days=180')->assertOk()->json('people'));
        $this->set(['departed' => 180]);
        Artisan::call('keep:clean-up');
        self::assertSame([$gone->id, $ended->id, $withdrawn->id, $never->id], $this->erased());
        self::assertSame('as the school has set', $this->get("/keep/people/{$gone->id}/data")->inertiaProps('erased.by'));
    }

    public function test_days_are_set_on_a_page_and_no_two_overwrite_each_other(): void
    {
        $page = $this->actingAs($this->person('hege'))->get('/keep/school/kept')->assertOk();
        $from = array_column((array) $page->inertiaProps('rows'), 'days', 'kind');
        $this->put('/keep/school/kept', ['days' => [...$from, 'log' => 365], 'from' => $from])->assertSessionHasNoErrors();
        $this->inAnotherProcess();
        self::assertSame(365, app(KeptDays::class)->of(KeptKind::Log));
        $this->put('/keep/school/kept', ['days' => [...$from, 'log' => 700], 'from' => $from])->assertSessionHasErrors(['days' => 'Somebody else has changed these days meanwhile. Look at them again.']);
        foreach ([['log' => 89], ['letters' => 1], ['uploads' => null], ['links' => 0], ['departed' => 40_000], ['events' => 'soon']] as $wrong) {
            $this->put('/keep/school/kept', ['days' => [...$from, ...$wrong], 'from' => $from])->assertSessionHasErrors('days.'.array_key_first($wrong));
        }
        $this->actingAs($this->person('aksel'))->put('/keep/school/kept', ['days' => $from, 'from' => $from])->assertForbidden();
        $this->get('/keep/school/kept')->assertOk();
    }

    /** @param  array<string, ?int>  $days */
    private function set(array $days): void
    {
        DB::table('schools')->update(['kept_days' => json_encode($days, JSON_THROW_ON_ERROR)]);
        $this->inAnotherProcess();
    }

    /** @return list<int> */
    private function erased(): array
    {
        return array_values(Person::query()->whereNotNull('erased_at')->orderBy('id')->get()->map(static fn (Person $one): int => $one->id)->all());
    }
}
