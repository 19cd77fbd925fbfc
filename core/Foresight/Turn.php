<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

/** Something that time alone changes for somebody. */
final readonly class Turn
{
    /** @param  string  $of  key of an item, or of the offer whose pass begins or ends; empty: the season */
    private function __construct(public TurnKind $kind, public string $of, public int $at)
    {
    }

    public static function opens(string $item, int $at): self
    {
        return new self(TurnKind::Opens, $item, $at);
    }

    public static function closes(string $item, int $at): self
    {
        return new self(TurnKind::Closes, $item, $at);
    }

    public static function passBegins(string $offer, int $at): self
    {
        return new self(TurnKind::PassBegins, $offer, $at);
    }

    public static function passEnds(string $offer, int $at): self
    {
        return new self(TurnKind::PassEnds, $offer, $at);
    }

    public static function seasonEnds(int $at): self
    {
        return new self(TurnKind::SeasonEnds, '', $at);
    }
}
