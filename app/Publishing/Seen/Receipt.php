<?php

declare(strict_types=1);

namespace App\Publishing\Seen;

use App\Models\Person;
use App\Publishing\Proposal;

/**
 * What somebody was shown before they publish: signed, and handed back by them. It holds for what was rehearsed, over
 * what was live then, for the instant that it was rehearsed for, and for them alone, for a quarter of an hour. Looking
 * writes nothing.
 */
final class Receipt
{
    /** Seconds for which it holds, from the beginning of the rehearsal on. */
    public const HOLDS = 900;

    /**
     * @param  ?int  $setFor  instant; null: at once
     * @param  int  $madeAt  when the rehearsal was begun
     */
    public static function of(Proposal $proposal, ?int $setFor, int $madeAt, Person $reader): string
    {
        return $madeAt.'.'.self::seal($proposal, $setFor, $madeAt, $reader);
    }

    /** What this reader was shown of what they are about to do; null: nothing, or too long ago. */
    public static function shown(?string $receipt, Proposal $proposal, ?int $setFor, Person $reader, int $now): ?Shown
    {
        if ($receipt === null || preg_match('/^(\d{1,12})\.([0-9a-f]{64})$/D', $receipt, $parts) !== 1) {
            return null;
        }
        $madeAt = (int) $parts[1];

        return hash_equals(self::seal($proposal, $setFor, $madeAt, $reader), $parts[2]) && $madeAt <= $now && $now < $madeAt + self::HOLDS ? new Shown($madeAt, $setFor ?? $madeAt) : null;
    }

    private static function seal(Proposal $proposal, ?int $setFor, int $madeAt, Person $reader): string
    {
        $key = config('app.key');

        return hash_hmac('sha256', implode('|', ['rehearsal', $proposal->course->id, $proposal->base, $proposal->subject, $setFor ?? 'at once', $madeAt, $reader->id]), is_string($key) ? $key : '');
    }
}
