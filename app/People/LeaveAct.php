<?php

declare(strict_types=1);

namespace App\People;

use App\Models\ActRecord;
use Illuminate\Support\Facades\DB;

/** Lets an act go that was prepared, or is being prepared, and not done. What was laid down for it is cleaned up group by group. */
final readonly class LeaveAct
{
    private const ROWS = 5000;

    /** Nothing where it is in force already. */
    public function __invoke(ActRecord $act): void
    {
        if (ActRecord::query()->whereKey($act->id)->whereIn('state', ['preparing', 'prepared', 'refused', 'left'])->update(['state' => 'left', 'people' => '[]']) !== 1) {
            return;
        }
        foreach (['act_changes', 'act_letters', 'activities'] as $table) {
            do {
                $gone = DB::delete("delete from {$table} where id in (select id from {$table} where act_id = ? limit ?)", [$act->id, self::ROWS]);
            } while ($gone === self::ROWS);
        }
        ActRecord::query()->whereKey($act->id)->where('state', 'left')->delete();
    }
}
