<?php

declare(strict_types=1);

namespace SilentKeep\Core\Rules;

/** The openings that there are, as a plan names them. This is the only place that knows them all, and the order in which they are offered: see {@see Opening}. */
enum OpeningKind: string
{
    case AtOnce = 'at_once';
    case On = 'on';
    case AfterStart = 'after_start';
    case AfterPrevious = 'after_previous';
    case Held = 'held';

    /** @return list<'at'|'days'|'time'|'weekday'> what one takes besides its name; the first of them is needed */
    public function takes(): array
    {
        return match ($this) {
            self::On => ['at'],
            self::AfterStart, self::AfterPrevious => ['days', 'time', 'weekday'],
            default => [],
        };
    }

    /**
     * Of what it does not take, nothing is looked at.
     *
     * @param  int  $at  instant
     */
    public function of(int $at, Delay $delay): Opening
    {
        return match ($this) {
            self::AtOnce => new AtOnce,
            self::On => new OpensOn($at),
            self::Held => new Held,
            self::AfterStart => new AfterStart($delay),
            self::AfterPrevious => new AfterPrevious($delay),
        };
    }
}
