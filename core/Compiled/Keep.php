<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/** Keeps what was reckoned under what it depends on, up to a number: then it begins anew. */
final class Keep
{
    private function __construct()
    {
    }

    /**
     * @template T
     *
     * @param  array<string, T>  $kept
     * @param  int  $most  how many are kept
     * @param  \Closure(): T  $reckoned
     * @return T
     */
    public static function in(array &$kept, string $key, int $most, \Closure $reckoned): mixed
    {
        if (isset($kept[$key])) {
            return $kept[$key];
        }
        if (count($kept) >= $most) {
            $kept = [];
        }

        return $kept[$key] = $reckoned();
    }
}
