<?php

declare(strict_types=1);

namespace App\Front;

/** What our own covers are drawn of: things of a boat shed, each in one or two colours of ours. */
enum Drawing: string
{
    case Planks = 'planks';
    case Frames = 'frames';
    case Sails = 'sails';
    case Arches = 'arches';
    case Oars = 'oars';
    case Waves = 'waves';
    case Rings = 'rings';

    /** That which a course has of its key, for as long as it has the key. */
    public static function ofKey(string $key): self
    {
        return self::cases()[crc32($key) % count(self::cases())];
    }

    /** @return array{Tone, Tone} the one that it mostly has, and another */
    public function tones(): array
    {
        return match ($this) {
            self::Planks => [Tone::Brass, Tone::Slate],
            self::Frames => [Tone::Rust, Tone::Brass],
            self::Sails => [Tone::Accent, Tone::Verdigris],
            self::Arches => [Tone::Slate, Tone::Rust],
            self::Oars => [Tone::Verdigris, Tone::Accent],
            self::Waves => [Tone::Accent, Tone::Slate],
            self::Rings => [Tone::Brass, Tone::Verdigris],
        };
    }
}
