<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Database\Dialects;
use App\Database\Value;
use Illuminate\Support\Facades\DB;

/** With whom somebody could look in, now or once. */
final class Ties
{
    private function __construct()
    {
    }

    /** @return list<int> learners */
    public static function learnersOf(int $observer): array
    {
        $member = Dialects::spoken()->member('observer_ties', 'content', 'observer_id');

        // The kind stands in the query itself, for the index is of that alone.
        return Value::ints(DB::table('ledger')->whereRaw("subject = 'observer_ties'")->where('what', '!=', 'gone')->whereRaw("{$member} = ?", [$observer])->distinct()->orderBy('person_id')->pluck('person_id'));
    }
}
