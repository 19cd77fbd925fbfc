<?php

declare(strict_types=1);

namespace Tests\Access;

use App\Models\Pass;
use App\Pages\Courses\HoldersNow;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Who holds what now is counted once, and anew as soon as a pass changes, begins or ends: whoever changed it, and in whatever way. */
final class HoldersNowTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
    }

    public function test_it_is_what_counting_all_would_say_whatever_happens_to_passes(): void
    {
        $this->assertCounted('at first');
        $clinker = $this->course('clinker');
        $pass = Pass::query()->where('course_id', $clinker->id)->where('state', 'active')->firstOrFail();

        $pass->update(['state' => 'paused']);
        $this->assertCounted('one is paused');
        DB::table('passes')->where('course_id', $clinker->id)->update(['state' => 'revoked']);
        $this->assertCounted('all are withdrawn, in one statement');
        DB::table('passes')->where('course_id', $clinker->id)->update(['state' => 'active']);
        $this->assertCounted('and given back');
        DB::table('passes')->insert(['person_id' => $this->person('hege')->id, 'course_id' => $clinker->id, 'offer_id' => $pass->offer_id, 'starts_at' => '2020-01-01 00:00:00', 'state' => 'active', 'source' => 'test']);
        $this->assertCounted('one is given');
        DB::table('passes')->where('source', 'test')->delete();
        $this->assertCounted('and taken away');
        $this->person('eira')->delete();
        $this->assertCounted('somebody is gone');
    }

    public function test_it_is_counted_anew_as_passes_begin_and_end(): void
    {
        $clinker = $this->course('clinker');
        $offer = Pass::query()->where('course_id', $clinker->id)->firstOrFail()->offer_id;
        $now = Carbon::now()->getTimestamp();
        DB::table('passes')->insert(['person_id' => $this->person('hege')->id, 'course_id' => $clinker->id, 'offer_id' => $offer, 'starts_at' => gmdate('Y-m-d H:i:s', $now + 3600), 'ends_at' => gmdate('Y-m-d H:i:s', $now + 7200), 'state' => 'active', 'source' => 'test']);
        $before = $this->holders()->all()[$clinker->id];
        foreach ([3599 => 0, 3600 => 1, 7199 => 1, 7200 => 0] as $after => $more) {
            Carbon::setTestNow(Carbon::createFromTimestampUTC($now + $after));
            self::assertSame($before + $more, $this->holders()->all()[$clinker->id], "{$after} s later");
        }
    }

    public function test_nothing_is_counted_where_nothing_changed_and_one_course_where_one_did(): void
    {
        $counted = [$this->countings()];
        $counted[] = $this->countings();
        Pass::query()->where('course_id', $this->course('clinker')->id)->firstOrFail()->update(['source' => 'by another']);
        $counted[] = $this->countings();
        $counted[] = $this->countings();
        self::assertSame([2, 0, 2, 0], array_map(count(...), $counted));
        self::assertStringContainsString('"course_id" in (?)', $counted[2][0] ?? '');
    }

    private function holders(): HoldersNow
    {
        $this->inAnotherProcess();

        return $this->app->make(HoldersNow::class);
    }

    /** @return list<string> */
    private function countings(): array
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->holders()->all();

        return array_values(array_filter(array_column(DB::getQueryLog(), 'query'), static fn (string $sql): bool => str_contains($sql, 'count(distinct')));
    }

    private function assertCounted(string $when): void
    {
        $now = gmdate('Y-m-d H:i:s', Carbon::now()->getTimestamp());
        $count = static fn (string $by): array => DB::table('passes')->where('state', 'active')->where('starts_at', '<=', $now)->where(static fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now))
            ->groupBy($by)->selectRaw("{$by}, count(distinct person_id) as people")->pluck('people', $by)->all();
        self::assertEquals($count('course_id'), $this->holders()->all(), $when);
        self::assertEquals($count('offer_id'), $this->holders()->byOffer(), $when);
    }
}
