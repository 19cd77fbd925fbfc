<?php

declare(strict_types=1);

namespace App\People;

use App\Database\Value;
use App\Models\Activity;
use App\Models\ActRecord;
use Illuminate\Support\Facades\DB;

/**
 * Who has been given, lost or done something since an instant that is told by numbers: the last line of the log, and the
 * last turn of acts. What is reckoned for people before it is put in force holds for those who are not among them.
 */
final class ChangesOfPeople
{
    /** @return array{basis: int, basis_turn: int} as everybody is now */
    public static function basis(): array
    {
        return ['basis' => Value::int(Activity::query()->withoutGlobalScopes()->max('id')), 'basis_turn' => Value::int(ActRecord::query()->max('turn'))];
    }

    /** @return list<int> people */
    public static function since(int $basis, int $turn): array
    {
        return array_values(DB::table('activities')->where('id', '>', $basis)->whereNull('act_id')->whereNotNull('person_id')->select('person_id')
            ->union(DB::table('act_changes')->join('people_acts', 'people_acts.id', '=', 'act_changes.act_id')->where('people_acts.turn', '>', $turn)->select('person_id'))
            ->pluck('person_id')->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->all());
    }
}
