<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Rules\AtOnce;
use SilentKeep\Core\Rules\ClosesAfterOpening;
use SilentKeep\Core\Rules\ClosesOn;
use SilentKeep\Core\Rules\Closing;
use SilentKeep\Core\Rules\Delay;
use SilentKeep\Core\Rules\Finish;
use SilentKeep\Core\Rules\FinishedBy;
use SilentKeep\Core\Rules\Opening;
use SilentKeep\Core\Rules\OpeningKind;
use SilentKeep\Core\Time\InvalidTime;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Time\TimeOfDay;

/** Reads openings, closings and ways of finishing: the one place that knows rules by their names in a document. */
final readonly class RuleReader
{
    /** What each rule takes besides its name; the first of them is needed. Of openings {@see OpeningKind::takes()} says it. */
    private const CLOSINGS = ['on' => ['at'], 'after_open' => ['days']];

    public function __construct(private SchoolZone $zone)
    {
    }

    public function opening(?Fields $fields): Opening
    {
        $rule = $fields === null ? null : $this->rule($fields, self::openings());
        if ($fields === null || $rule === null) {
            return new AtOnce;
        }

        $kind = OpeningKind::from($rule);

        return $kind->of(in_array('at', $kind->takes(), true) ? $this->instant($fields, 'at') : 0, in_array('days', $kind->takes(), true) ? $this->delay($fields) : new Delay(0));
    }

    /** @return array<string, list<string>> what each takes, by its name */
    private static function openings(): array
    {
        $openings = [];
        foreach (OpeningKind::cases() as $kind) {
            $openings[$kind->value] = $kind->takes();
        }

        return $openings;
    }

    public function closing(?Fields $fields): ?Closing
    {
        $rule = $fields === null ? null : $this->rule($fields, self::CLOSINGS);
        if ($fields === null || $rule === null) {
            return null;
        }

        return $rule === 'on' ? new ClosesOn($this->instant($fields, 'at')) : new ClosesAfterOpening($fields->days('days') ?? 0);
    }

    public function finish(?Fields $fields): ?Finish
    {
        if ($fields === null) {
            return null;
        }
        $by = $fields->only('by', 'share', 'score')->needs('by')->enum('by', FinishedBy::class);
        if ($by === null) {
            return null;
        }
        $takes = match ($by) {
            FinishedBy::Watch => 'share',
            FinishedBy::Quiz => 'score',
            default => null,
        };
        foreach (['share', 'score'] as $key) {
            if ($key !== $takes && $fields->has($key)) {
                $fields->offend($key, "does not go with finishing by {$by->value}");
            }
        }
        if ($takes === null) {
            return new Finish($by);
        }
        $threshold = $fields->needs($takes)->number($takes);
        if ($threshold !== null && ($threshold > 1 || $threshold < 0 || ($takes === 'share' && $threshold <= 0))) {
            $fields->offend($takes, $takes === 'share' ? 'must be above 0 and at most 1' : 'must be from 0 to 1');
        }

        return new Finish($by, (float) $threshold);
    }

    public function instant(Fields $fields, string $key): int
    {
        $local = $fields->localTime($key);

        return $local === null ? 0 : $this->zone->instantOf($local);
    }

    /** @param  array<string, list<string>>  $rules */
    private function rule(Fields $fields, array $rules): ?string
    {
        $rule = $fields->only('rule', 'at', 'days', 'time', 'weekday')->needs('rule')->string('rule');
        if ($rule === null) {
            return null;
        }
        if (! isset($rules[$rule])) {
            $fields->offend('rule', 'must be one of '.implode(', ', array_keys($rules)).', not '.Fields::describe($rule));

            return null;
        }
        foreach (['at', 'days', 'time', 'weekday'] as $key) {
            if ($fields->has($key) && ! in_array($key, $rules[$rule], true)) {
                $fields->offend($key, "does not go with the rule {$rule}");
            }
        }
        if ($rules[$rule] !== []) {
            $fields->needs($rules[$rule][0]);
        }

        return $rule;
    }

    private function delay(Fields $fields): Delay
    {
        $time = null;
        $text = $fields->string('time');
        try {
            $time = $text === null ? null : TimeOfDay::parse($text)->seconds;
        } catch (InvalidTime $e) {
            $fields->offend('time', $e->getMessage());
        }

        return new Delay($fields->days('days') ?? 0, $time, $fields->int('weekday', 1, 7));
    }
}
