<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Http\Api\Problems\Problem;
use App\Words\Say;

/** Where a list goes on: after the row of an id. What it looks like is nobody's business but ours. */
final class Cursor
{
    public const MOST = 200;

    /** The id after which to go on. */
    public static function read(Asked $asked): int
    {
        $cursor = $asked->text('after');
        if ($cursor === null) {
            return 0;
        }
        $id = base64_decode(strtr($cursor, '-_', '+/'), true);

        return is_string($id) && preg_match('/^after (\d{1,15})$/D', $id, $found) === 1 ? (int) $found[1] : throw Problem::parameter('after', Say::text('interface.parameters_told.cursor'));
    }

    /** How many rows are asked for. */
    public static function size(Asked $asked, int $usual = 50): int
    {
        $size = $asked->number('limit') ?? $usual;

        return $size <= self::MOST ? $size : throw Problem::parameter('limit', Say::text('interface.refused.maximum', ['limit' => (string) self::MOST]));
    }

    /**
     * Of rows of which one more than is shown was looked up.
     *
     * @template T
     *
     * @param  list<T>  $rows
     * @param  \Closure(T): int  $id
     * @return array{list<T>, ?string} those that are shown, and the cursor of what follows
     */
    public static function cut(array $rows, int $size, \Closure $id): array
    {
        $shown = array_slice($rows, 0, $size);
        $last = $shown[count($shown) - 1] ?? null;

        return [$shown, count($rows) > $size && $last !== null ? rtrim(strtr(base64_encode("after {$id($last)}"), '+/', '-_'), '=') : null];
    }
}
