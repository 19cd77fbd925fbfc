<?php

declare(strict_types=1);

namespace App\Learning\Watching;

use App\Learning\Contents\MediaAddresses;
use App\Models\Medium;
use App\Models\WatchRecord;
use SilentKeep\Core\Watching\PlayedSegments;
use SilentKeep\Core\Watching\Watch;
use SilentKeep\Core\Watching\WatchedStretches;

/** Between what is kept of watching and what the core makes of it. */
final readonly class Watching
{
    /** Speed at which a video may be played, 1 being that of life. */
    public const FASTEST = 2.0;

    /** Seconds before the end of a video from which there is nothing to go on with. */
    private const AT_THE_END = 1.0;

    /** Seconds after which a lesson that is opened again counts as having been away from: until then reports that were kept meanwhile still count in full. */
    public const AWAY = 1800;

    public static function of(WatchRecord $record): Watch
    {
        return Watch::kept(self::coverage($record), $record->heard_at->getTimestamp(), $record->spare);
    }

    private static function coverage(WatchRecord $record): WatchedStretches
    {
        return WatchedStretches::none($record->length)->with(PlayedSegments::parse($record->played));
    }

    /** @param  ?float  $position  where the player stands; null: where it stood */
    public static function record(Watch $watch, WatchRecord $record, ?float $position = null): void
    {
        $record->update(['played' => $watch->coverage->toText(), 'spare' => $watch->spare, 'heard_at' => $watch->heardAt, ...($position === null ? [] : ['position' => min($position, $record->length)])]);
    }

    /** @param  ?WatchRecord  $record  null: it was never opened by them */
    public static function card(Medium $medium, ?WatchRecord $record, float $needed, bool $finished, ?int $person): ?WatchCard
    {
        if ($medium->seconds === null || $medium->seconds <= 0) {
            return null;
        }
        $coverage = $record === null ? WatchedStretches::none($medium->seconds) : self::coverage($record);

        return new WatchCard($medium->id, $coverage->length, $needed, $coverage->share(), $coverage->segments, self::FASTEST, MediaAddresses::mark("watch {$person} {$medium->id}"), $finished, self::goesOnAt($record, $coverage));
    }

    /** Where they were, as far as it is believed that they came; at the end it begins again. */
    private static function goesOnAt(?WatchRecord $record, WatchedStretches $coverage): float
    {
        $first = $coverage->segments[0] ?? [0.0, 0.0];
        $position = min($record->position ?? 0.0, $first[0] <= 0.0 ? $first[1] : 0.0);

        return $position < $coverage->length - self::AT_THE_END ? $position : 0.0;
    }
}
