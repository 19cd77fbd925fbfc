<?php

declare(strict_types=1);

namespace SilentKeep\Core\Time;

final class Instants
{
    private function __construct()
    {
    }

    /**
     * @param  list<int>  $instants
     * @param  int  $before  the first that no longer counts; {@see Instant::NEVER} never does
     * @return list<int> those after `$after`, ascending, each once
     */
    public static function between(array $instants, int $after, int $before = Instant::NEVER): array
    {
        $wanted = [];
        foreach ($instants as $instant) {
            if ($instant > $after && $instant < $before) {
                $wanted[$instant] = $instant;
            }
        }
        if (count($wanted) > 1) {
            sort($wanted);
        }

        return array_values($wanted);
    }
}
