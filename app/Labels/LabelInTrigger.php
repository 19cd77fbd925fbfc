<?php

declare(strict_types=1);

namespace App\Labels;

use App\Triggers\Spec\StepKind;

/** Calls a label by another name in what a trigger listens to, whom it is for and what it does. */
final class LabelInTrigger
{
    private function __construct()
    {
    }

    /**
     * @param  array<array-key, mixed>  $spec  as it is kept
     * @return array<array-key, mixed> the same
     */
    public static function rename(array $spec, string $from, string $to): array
    {
        foreach (['when', 'only'] as $part) {
            $spec[$part] = self::in($spec[$part] ?? [], $from, $to);
        }
        // The labels of a mailing list are the list's.
        $spec['then'] = array_map(static fn (mixed $step): mixed => is_array($step) && ($step['do'] ?? null) === StepKind::JoinList->value ? $step : self::in($step, $from, $to), is_array($spec['then'] ?? null) ? $spec['then'] : []);

        return $spec;
    }

    private static function in(mixed $fields, string $from, string $to): mixed
    {
        foreach (['label', 'notLabel'] as $field) {
            if (is_array($fields) && ($fields[$field] ?? null) === $from) {
                $fields[$field] = $to;
            }
        }

        return $fields;
    }
}
