<?php

declare(strict_types=1);

namespace App\Front;

/** A colour of ours with the ground it is drawn on, in light and in the dark; the tokens of `resources/js/ui/tokens.css`. */
enum Tone: string
{
    case Brass = 'brass';
    case Rust = 'rust';
    case Accent = 'accent';
    case Slate = 'slate';
    case Verdigris = 'verdigris';

    /** @return array{string, string} the colour, and the ground */
    public function light(): array
    {
        return match ($this) {
            self::Brass => ['#A8741A', '#F5ECD9'],
            self::Rust => ['#A2432B', '#F6E7E2'],
            self::Accent => ['#2B4C7E', '#E2E8F0'],
            self::Slate => ['#6C7A84', '#E4E8EA'],
            self::Verdigris => ['#1F7A6C', '#E3EFEC'],
        };
    }

    /** @return array{string, string} */
    public function dark(): array
    {
        return match ($this) {
            self::Brass => ['#D9A44A', '#2B2619'],
            self::Rust => ['#E08468', '#31221D'],
            self::Accent => ['#8FB0E0', '#1F2B3C'],
            self::Slate => ['#8C9BA5', '#222C33'],
            self::Verdigris => ['#5FBFAE', '#1B302E'],
        };
    }
}
