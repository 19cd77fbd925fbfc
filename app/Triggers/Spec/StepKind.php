<?php

declare(strict_types=1);

namespace App\Triggers\Spec;

/** What a trigger can do. */
enum StepKind: string
{
    case GivePass = 'give-pass';
    case HandOut = 'hand-out';
    case GiveLabel = 'give-label';
    case TakeLabel = 'take-label';
    case ExtendPass = 'extend-pass';
    case PausePass = 'pause-pass';
    case EndPass = 'end-pass';
    case JoinList = 'join-list';
    case Write = 'write';
    case Tell = 'tell';

    /** @return list<string> which of the fields of {@see Step} it has; days of handing out and labels can be left open: for good */
    public function takes(): array
    {
        return match ($this) {
            self::GivePass, self::PausePass, self::EndPass => ['offer'],
            self::HandOut => ['course', 'item', 'days'],
            self::GiveLabel => ['label', 'days'],
            self::TakeLabel, self::JoinList => ['label'],
            self::ExtendPass => ['offer', 'days'],
            self::Write => ['subject', 'body'],
            self::Tell => ['outside'],
        };
    }

    public function needsDays(): bool
    {
        return $this === self::ExtendPass;
    }
}
