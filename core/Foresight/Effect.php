<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

/** What a change of plan does to one person on one item; the first that fits. */
enum Effect: string
{
    case Gain = 'gain';
    case Lose = 'lose';
    case Pause = 'pause';
    case GainWork = 'gain_work';
    case LoseWork = 'lose_work';
    case Longer = 'longer';
    case Shorter = 'shorter';
    case Sooner = 'sooner';
    case Later = 'later';
    case Never = 'never';

    /** Of two first instants, before and after the change; null: never. */
    public static function ofMove(?int $before, ?int $after): ?self
    {
        return match (true) {
            $before === $after => null,
            $after === null => self::Never,
            $before === null, $after < $before => self::Sooner,
            default => self::Later,
        };
    }

    /** Of two endings, before and after the change; null: none. */
    public static function ofEnding(?int $before, ?int $after): ?self
    {
        return match (true) {
            $before === $after => null,
            $after === null => self::Longer,
            $before === null, $after < $before => self::Shorter,
            default => self::Longer,
        };
    }
}
