<?php

declare(strict_types=1);

namespace App\Front;

/**
 * A cover for a course that has no picture: a few flat strokes of a thing of the shed. Two courses of the same drawing differ by
 * how many strokes there are, how they bend, and by their colour.
 */
final readonly class DrawnCover
{
    /** So many of each drawing there are. */
    public const VARIANTS = 16;

    public const WIDTH = 340;

    public const HEIGHT = 170;

    /** @param  int  $variant  from 0 */
    public function __construct(public Drawing $drawing, public int $variant)
    {
    }

    /** @param  string  $drawing  that the school chose; empty: that of the key */
    public static function of(string $key, string $drawing): self
    {
        return new self(Drawing::tryFrom($drawing) ?? Drawing::ofKey($key), intdiv(crc32("{$key}/variant"), 7) % self::VARIANTS);
    }

    public function tone(): Tone
    {
        return $this->drawing->tones()[$this->variant % 4 === 3 ? 1 : 0];
    }

    public function svg(): string
    {
        [$light, $dark] = [$this->tone()->light(), $this->tone()->dark()];

        $style = ":root{--c:{$light[0]};--g:{$light[1]};--i:#1F2D35;--p:#F6F4EE}@media(prefers-color-scheme:dark){:root{--c:{$dark[0]};--g:{$dark[1]};--i:#E8E6DF;--p:#151D22}}"
            .'.s,.i,.r{fill:none}.s{stroke:var(--c)}.f{fill:var(--c)}.i{stroke:var(--i)}.b{fill:var(--i)}.r{stroke:var(--p)}.d{fill:var(--p)}.g{fill:var(--g)}';

        return self::element('svg', ['xmlns' => 'http://www.w3.org/2000/svg', 'viewBox' => implode(' ', [0, 0, self::WIDTH, self::HEIGHT]), 'width' => self::WIDTH, 'height' => self::HEIGHT, 'preserveAspectRatio' => implode(' ', ['xMidYMid', 'slice'])], self::element('style', [], $style)
            .self::element('rect', ['class' => 'g', 'width' => self::WIDTH, 'height' => self::HEIGHT]).implode('', $this->strokes()));
    }

    /** @param  array<string, string|int|float>  $attributes */
    private static function element(string $name, array $attributes, string $inside = ''): string
    {
        $given = '';
        foreach ($attributes as $attribute => $value) {
            $given .= sprintf(' %s="%s"', $attribute, is_float($value) ? number_format($value, 2, '.', '') : $value);
        }

        return "<{$name}{$given}".($inside === '' ? '/>' : ">{$inside}</{$name}>");
    }

    /** @return list<string> */
    private function strokes(): array
    {
        return match ($this->drawing) {
            Drawing::Planks => $this->planks(),
            Drawing::Frames => $this->frames(),
            Drawing::Sails => $this->sails(),
            Drawing::Arches => $this->arches(),
            Drawing::Oars => $this->oars(),
            Drawing::Waves => $this->waves(),
            Drawing::Rings => $this->rings(),
        };
    }

    /** A number of this variant between two others, both included. */
    private function between(int $least, int $most, string $of): int
    {
        return $least + crc32("{$of} {$this->variant}") % ($most - $least + 1);
    }

    private static function ground(): string
    {
        return self::element('path', ['class' => 'i', 'stroke-width' => 2, 'd' => 'M0 160 H340']);
    }

    private static function stroke(string $path, float $width, float $strength = 1.0): string
    {
        return self::element('path', ['class' => 's', 'd' => $path, 'stroke-width' => $width, 'opacity' => $strength]);
    }

    /** @return list<string> strakes seen from the side, the uppermost with its rivets */
    private function planks(): array
    {
        $strokes = [];
        [$count, $rise, $top] = [$this->between(5, 7, 'count'), $this->between(24, 46, 'rise'), $this->between(58, 84, 'top')];
        for ($index = 0; $index < $count; $index++) {
            [$y, $bend] = [$top + 18 * $index, $rise - $index * 5];
            $strokes[] = self::stroke(sprintf('M-10 %d C 90 %d 230 %d 350 %d', $y, $y - $bend, $y - $bend + 4, $y - 8 + $index), 11 - 0.6 * $index, max(0.3, 1 - 0.11 * $index));
        }
        // Along the second strake: the same curve at so much of its length.
        for ($x = 30; $x <= 310; $x += 35) {
            [$t, $y, $bend] = [($x + 10) / 360, $top + 18, $rise - 5];
            $strokes[] = self::element('circle', ['class' => 'd', 'r' => 1.8, 'cx' => $x, 'cy' => (1 - $t) ** 3 * $y + 3 * (1 - $t) ** 2 * $t * ($y - $bend) + 3 * (1 - $t) * $t ** 2 * ($y - $bend + 4) + $t ** 3 * ($y - 7)]);
        }

        return $strokes;
    }

    /** @return list<string> frames of a hull, one inside the other */
    private function frames(): array
    {
        $strokes = [];
        [$count, $step, $deep] = [$this->between(4, 6, 'count'), $this->between(21, 27, 'step'), $this->between(148, 158, 'deep')];
        for ($index = 0; $index < $count; $index++) {
            [$x, $y] = [20 + $step * $index, $deep - 14 * $index];
            $strokes[] = self::stroke(sprintf('M%d -8 C %d %d 158 %d 170 %d C 182 %d %d %d %d -8', $x, $x + 4, $y - 6, $y - 6, $y, $y - 6, 336 - $x, $y - 6, 340 - $x), 7, max(0.25, 1 - 0.17 * $index));
        }

        return $strokes;
    }

    /** @return list<string> */
    private function sails(): array
    {
        [$mast, $foot, $peak] = [$this->between(140, 176, 'mast'), $this->between(30, 54, 'foot'), $this->between(12, 26, 'peak')];
        $strokes = [
            self::element('path', ['class' => 'f', 'd' => sprintf('M%d %d V148 H%d Z', $mast, $peak, $foot)]),
            self::element('path', ['class' => 'f', 'opacity' => 0.62, 'd' => sprintf('M%d %d V148 H%d C %d 110 %d 70 %d %d Z', $mast + 12, $peak + 18, 300 - $foot / 2, 264 - $foot / 2, 224 - $foot / 2, $mast + 12, $peak + 18)]),
        ];
        for ($y = $peak + 34; $y < 140; $y += 32) {
            $strokes[] = self::element('path', ['class' => 'r', 'stroke-width' => 1.6, 'd' => sprintf('M%.1f %d H%d', $mast - ($mast - $foot) * ($y - $peak) / (148 - $peak), $y, $mast)]);
        }

        return [...$strokes, self::ground()];
    }

    /** @return list<string> boathouses on the quay, and a boat before them */
    private function arches(): array
    {
        $strokes = [];
        [$wide, $top, $boat] = [$this->between(42, 56, 'wide'), $this->between(52, 72, 'top'), $this->between(70, 130, 'boat')];
        for ($x = 26 - $wide; $x < 340; $x += $wide) {
            $strokes[] = self::stroke(sprintf('M%d 170 V%d a%.1f %.1f 0 0 1 %d 0 V170', $x, $top, $wide / 2, $wide / 2, $wide), 3);
        }

        return [...$strokes, self::stroke('M0 168 H340', 4), self::element('path', ['class' => 'b', 'd' => sprintf('M%d 140 c 38 26 118 26 158 -4 l-14 24 c-36 12-96 12-128 0 z', $boat)])];
    }

    /** @return list<string> */
    private function oars(): array
    {
        $strokes = [];
        [$count, $lean] = [$this->between(3, 5, 'count'), $this->between(28, 46, 'lean')];
        $step = intdiv(250, $count);
        for ($index = 0; $index < $count; $index++) {
            $x = 40 + $step * $index;
            $strokes[] = self::stroke(sprintf('M%d 152 L%d 42', $x, $x + $lean), 5);
            $strokes[] = self::element('path', ['class' => 'f', 'd' => sprintf('M%d 52 q 2 -30 14 -36 q 8 12 -2 40 z', $x + $lean - 4)]);
        }

        return [...$strokes, self::ground()];
    }

    /** @return list<string> */
    private function waves(): array
    {
        $strokes = [];
        [$count, $long, $high] = [$this->between(5, 7, 'count'), $this->between(48, 72, 'long'), $this->between(7, 12, 'high')];
        for ($index = 0; $index < $count; $index++) {
            $path = sprintf('M%d %d', -$long - ($index % 2) * intdiv($long, 2), 36 + 20 * $index);
            for ($x = -$long; $x < 400; $x += $long) {
                $path .= sprintf(' q %d %d %d 0 t %d 0', intdiv($long, 4), -$high, intdiv($long, 2), intdiv($long, 2));
            }
            $strokes[] = self::stroke($path, 4.5, 0.35 + 0.65 * ($index + 1) / $count);
        }

        return $strokes;
    }

    /** @return list<string> a log from its end, with the line along which it will be split */
    private function rings(): array
    {
        $strokes = [];
        [$count, $x, $y] = [$this->between(6, 8, 'count'), $this->between(120, 220, 'x'), $this->between(74, 98, 'y')];
        for ($index = 0; $index < $count; $index++) {
            $strokes[] = self::element('ellipse', ['class' => 's', 'cx' => $x + $index * 2, 'cy' => $y + $index, 'rx' => 10 + 19 * $index, 'ry' => 8 + 16 * $index, 'stroke-width' => 3 + 0.5 * $index, 'opacity' => min(1.0, 0.4 + 0.09 * $index)]);
        }

        return [...$strokes, self::element('path', ['class' => 'i', 'stroke-width' => 2, 'd' => sprintf('M%d %d L%d 170', $x, $y, $x + $this->between(60, 110, 'split'))])];
    }
}
