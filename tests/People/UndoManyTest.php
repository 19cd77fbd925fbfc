<?php

declare(strict_types=1);

namespace Tests\People;

use App\Models\ActRecord;
use App\Models\Pass;
use App\People\ActOnPeople;
use App\People\Acts\PeopleActs;
use App\People\ChosenPeople;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What was done to many is taken back, unless it is another thing by now. */
final class UndoManyTest extends TestCase
{
    use ActsOnCrowds;
    use ActsOnPeople;

    protected function setUp(): void
    {
        parent::setUp();
        $this->demoSchool();
        $this->actingAs($this->person('hege'));
    }

    public function test_an_undo_of_what_was_changed_and_changed_back_is_refused(): void
    {
        $this->act('pause', ['eira'], ['offer' => 'apprentice-pass']);
        $first = ActRecord::query()->sole()->id;
        $this->act('resume', ['eira'], ['offer' => 'apprentice-pass']);
        $this->act('pause', ['eira'], ['offer' => 'apprentice-pass']);
        $this->post("/keep/people/acts/{$first}/undo")->assertSessionHas('flash.kind', 'refused');
        self::assertSame('paused', $this->pass('eira')->state);
        // Back step by step is another thing.
        foreach (ActRecord::query()->orderByDesc('id')->pluck('id') as $act) {
            $this->post("/keep/people/acts/{$act}/undo")->assertSessionHas('flash.kind', 'done');
        }
        self::assertSame('active', $this->pass('eira')->state);
    }

    public function test_an_undo_is_refused_where_it_was_changed_and_changed_back_at_the_last_moment(): void
    {
        $this->act('pause', ['eira'], ['offer' => 'apprentice-pass']);
        $first = ActRecord::query()->sole()->id;
        $began = false;
        // After all that can be looked at before the lock is taken, and before it is.
        DB::listen(function (QueryExecuted $query) use (&$began): void {
            if (! $began && str_contains($query->sql, 'join act_changes later')) {
                $began = true;
                foreach (['resume', 'pause'] as $do) {
                    app(ActOnPeople::class)(app(PeopleActs::class)->of(['do' => $do, 'offer' => 'apprentice-pass'], $this->person('hege')), ChosenPeople::named([$this->person('eira')->id]), $this->person('hege'));
                }
            }
        });
        $this->post("/keep/people/acts/{$first}/undo")->assertSessionHas('flash.kind', 'refused');
        self::assertTrue($began);
        self::assertSame('paused', $this->pass('eira')->state);
        self::assertNull(ActRecord::query()->findOrFail($first)->undone_at);
    }

    /**
     * @param  array<string, mixed>  $form
     * @param  \Closure(int): mixed  $change  by something that is no act, of the newest pass of Eira
     */
    #[DataProvider('changesOfRows')]
    public function test_an_undo_is_refused_where_a_row_is_another_one_by_now(string $do, array $form, \Closure $change): void
    {
        $this->act($do, ['eira'], $form);
        $change((int) Pass::query()->where('person_id', $this->person('eira')->id)->max('id'));
        $before = DB::table('passes')->orderBy('id')->get()->toArray();
        $this->post('/keep/people/acts/'.ActRecord::query()->sole()->id.'/undo')->assertSessionHas('flash.kind', 'refused');
        self::assertEquals($before, DB::table('passes')->orderBy('id')->get()->toArray());
    }

    /** @return array<string, array{string, array<string, mixed>, \Closure(int): mixed}> */
    public static function changesOfRows(): array
    {
        $extend = ['offer' => 'apprentice-pass', 'days' => 3];

        return [
            'changed' => ['extend', $extend, static fn (int $pass) => DB::table('passes')->where('id', $pass)->update(['ends_at' => '2036-01-01 00:00:00'])],
            'gone' => ['extend', $extend, static fn (int $pass) => DB::table('passes')->delete($pass)],
            'made, and changed' => ['give', ['offer' => 'taster'], static fn (int $pass) => DB::table('passes')->where('id', $pass)->update(['state' => 'withdrawn'])],
        ];
    }
}
