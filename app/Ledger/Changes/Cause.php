<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Ledger\Past\Entry;
use App\Ledger\Past\Fact;

/** What made something otherwise, as a key: `revision 12`, `school`, `offers`, or what was written of somebody. */
final class Cause
{
    public const SCHOOL = 'school';

    public const OFFERS = 'offers';

    /** Nothing was written: a day came, or was over. */
    public const TIME = 'time';

    /** Of what is written at one instant, the first that is among it. */
    private const WEIGHT = ['passes', 'grants', 'labels', 'completions', 'people', 'edited_courses', 'observer_ties'];

    private function __construct()
    {
    }

    public static function revision(?int $id): string
    {
        return 'revision '.($id ?? 0);
    }

    /** @param  non-empty-list<array{Entry, ?Fact}>  $written  at one instant, each with the row as it was before */
    public static function of(array $written): string
    {
        usort($written, static fn (array $one, array $other): int => [self::weight($one[0]), $one[0]->id] <=> [self::weight($other[0]), $other[0]->id]);
        [$entry, $before] = $written[0];

        return match ($entry->subject) {
            'passes' => 'pass_'.self::ofPass($entry, $before),
            'grants' => $entry->what === 'gone' || self::ends($entry, $before) ? 'grant_taken' : 'grant_given',
            'labels' => $entry->what === 'gone' || self::ends($entry, $before) ? 'label_taken' : 'label_given',
            'completions' => $entry->what === 'gone' ? 'not_finished' : 'finished',
            'observer_ties' => $entry->what === 'gone' ? 'untied' : 'tied',
            default => 'role',
        };
    }

    private static function weight(Entry $entry): int
    {
        $weight = array_search($entry->subject, self::WEIGHT, true);

        return $weight === false ? count(self::WEIGHT) : $weight;
    }

    private static function ofPass(Entry $entry, ?Fact $before): string
    {
        $pass = $entry->fact;
        if ($before === null || $entry->what === 'gone') {
            return $before === null ? 'given' : 'gone';
        }
        $state = $pass->text('state');

        return match (true) {
            $state !== $before->text('state') => match ($state) {
                'revoked' => 'withdrawn',
                'paused' => 'paused',
                default => 'resumed',
            },
            $pass->intOrNull('offer_id') !== $before->intOrNull('offer_id') => 'changed',
            $pass->textOrNull('ends_at') !== $before->textOrNull('ends_at') => ($pass->instant('ends_at') ?? PHP_INT_MAX) > ($before->instant('ends_at') ?? PHP_INT_MAX) ? 'extended' : 'shortened',
            default => 'moved',
        };
    }

    /** What ends sooner than it would have is taken back. */
    private static function ends(Entry $entry, ?Fact $before): bool
    {
        return $before !== null && ($entry->fact->instant('ends_at') ?? PHP_INT_MAX) < ($before->instant('ends_at') ?? PHP_INT_MAX);
    }
}
