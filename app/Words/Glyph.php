<?php

declare(strict_types=1);

namespace App\Words;

use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;

/** Which arch stands for a decision. */
enum Glyph: string
{
    case Open = 'open';
    case Sample = 'sample';
    case Later = 'later';
    case Locked = 'locked';
    case Hidden = 'hidden';
    case Over = 'over';

    public static function of(Decision $decision): self
    {
        $over = static fn (Reason $reason): bool => in_array($reason, [Reason::PassEnded, Reason::Closed, Reason::CourseOver], true);

        return match (true) {
            $decision->state === State::Hidden => self::Hidden,
            $decision->via === Route::Sample => self::Sample,
            $decision->state === State::Open => self::Open,
            $decision->next?->state === State::Open => self::Later,
            array_filter($decision->why, $over) !== [] => self::Over,
            default => self::Locked,
        };
    }

    /** The state in words, as a screen reader has them too. */
    public function word(): string
    {
        return match ($this) {
            self::Open => 'open',
            self::Sample => Say::text('wording.glyph.open_as_a_sample'),
            self::Later => Say::text('wording.glyph.opens_later'),
            self::Locked => 'locked',
            self::Hidden => 'hidden',
            self::Over => 'over',
        };
    }

    public static function looksOnly(Decision $decision): bool
    {
        return $decision->state === State::Open && ! $decision->act;
    }
}
