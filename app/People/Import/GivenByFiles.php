<?php

declare(strict_types=1);

namespace App\People\Import;

use App\Models\Pass;

/** Passes that files gave, and that are not over: a file may end these, and no others. */
final class GivenByFiles
{
    private function __construct()
    {
    }

    /**
     * @param  list<int>  $people
     * @param  int  $now  instant: what has ended by then is over
     * @return array<int, array<int, list<Pass>>> by person and offer
     */
    public static function to(array $people, int $now): array
    {
        $given = [];
        foreach (Pass::query()->with('offer')->whereIn('person_id', $people)->whereNotNull('import_id')->where('state', '!=', 'revoked')->orderBy('id')->get() as $pass) {
            if ($pass->ends_at === null || $pass->ends_at->getTimestamp() > $now) {
                $given[$pass->person_id][$pass->offer_id][] = $pass;
            }
        }

        return $given;
    }

    /** Whether an end that a file names comes before its own. A later one is not followed: somebody may have set the one it has. */
    public static function endsLater(Pass $pass, int $ends): bool
    {
        return $pass->ends_at === null || $pass->ends_at->getTimestamp() > $ends;
    }
}
