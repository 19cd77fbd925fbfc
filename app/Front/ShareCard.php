<?php

declare(strict_types=1);

namespace App\Front;

use GdImage;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;

/** The picture that stands beside a link to a page of the school: its title and the school on paper, and a door. Drawn once, and kept. */
final readonly class ShareCard
{
    /** Of the drawing as it is here: another one is drawn anew. */
    private const VERSION = 1;

    private const WIDTH = 1200;

    private const HEIGHT = 630;

    private const MARGIN = 80;

    /** In which titles have room. */
    private const TEXT = 760;

    private const LINES = 4;

    /** Points, the largest at which a title fits. */
    private const SIZES = [62, 52, 44, 36];

    /** Its path below storage/app. */
    public function file(string $title, string $school): string
    {
        $path = 'share/'.hash('xxh128', self::VERSION."\0{$title}\0{$school}").'.png';
        if (! Storage::exists($path)) {
            Storage::put($path, self::png(self::drawn($title, $school)));
        }

        return $path;
    }

    private static function drawn(string $title, string $school): GdImage
    {
        $image = imagecreatetruecolor(self::WIDTH, self::HEIGHT);
        imageantialias($image, true);
        [$paper, $ink, $soft, $line, $verdigris, $card] = array_map(static fn (string $hex): int => self::colour($image, $hex), ['F6F4EE', '1F2D35', '5C6A72', 'DCD7CB', '1F7A6C', 'FFFFFF']);
        imagefilledrectangle($image, 0, 0, self::WIDTH, self::HEIGHT, $paper);
        self::door($image, $verdigris, $card);
        imagefilledrectangle($image, self::MARGIN, 520, self::WIDTH - self::MARGIN, 521, $line);
        imagettftext($image, 25, 0, self::MARGIN, 574, $soft, self::font('sans'), self::cut(self::readable($school), 25, 'sans', self::WIDTH - 2 * self::MARGIN));
        $title = self::readable($title);
        foreach (self::SIZES as $size) {
            $lines = self::lines($title, $size);
            if (count($lines) <= self::LINES) {
                break;
            }
        }
        $step = (int) round($size * 1.62);
        $y = 110 + $size + intdiv(max(0, 330 - $step * count($lines)), 2);
        foreach (array_slice($lines, 0, self::LINES) as $index => $text) {
            imagettftext($image, $size, 0, self::MARGIN, $y + $index * $step, $ink, self::font('serif'), self::cut($text, $size, 'serif', self::TEXT));
        }

        return $image;
    }

    /** An open doorway with its floor line. */
    private static function door(GdImage $image, int $colour, int $inside): void
    {
        [$left, $right, $top, $floor, $thick] = [910, 1090, 130, 470, 14];
        $middle = intdiv($left + $right, 2);
        foreach ([[0, $colour], [$thick, $inside]] as [$in, $of]) {
            $width = $right - $left - 2 * $in;
            imagefilledellipse($image, $middle, $top + intdiv($right - $left, 2), $width, $width, $of);
            imagefilledrectangle($image, $left + $in, $top + intdiv($right - $left, 2), $right - $in, $floor, $of);
        }
        imagefilledrectangle($image, $left - 30, $floor, $right + 30, $floor + 6, $colour);
    }

    /** @return list<string> */
    private static function lines(string $text, int $size): array
    {
        $lines = [];
        $line = '';
        foreach (explode(' ', $text) as $word) {
            $longer = $line === '' ? $word : "{$line} {$word}";
            if ($line !== '' && self::width($longer, $size, 'serif') > self::TEXT) {
                $lines[] = $line;
                $longer = $word;
            }
            $line = $longer;
        }

        return [...$lines, $line];
    }

    private static function cut(string $text, int $size, string $font, int $room): string
    {
        while (self::width($text, $size, $font) > $room && mb_strlen($text) > 1) {
            $text = mb_substr(rtrim($text, '…'), 0, -1).'…';
        }

        return $text;
    }

    private static function width(string $text, int $size, string $font): int
    {
        $box = imagettfbbox($size, 0, self::font($font), $text);

        return $box === false ? 0 : $box[2] - $box[0];
    }

    /** In the letters that our fonts have. */
    private static function readable(string $text): string
    {
        return trim((string) preg_replace('/\s+/u', ' ', (string) preg_replace_callback('/[^\x20-\x7E§«·»ÄÅÆÉÖØÜàäåæèéêòóôöøü–—‘’“”…€×]/u', static fn (array $letter): string => Str::ascii($letter[0]), $text)));
    }

    private static function font(string $name): string
    {
        return resource_path("fonts/{$name}.woff2");
    }

    private static function colour(GdImage $image, string $hex): int
    {
        [$red, $green, $blue] = array_map(static fn (string $part): int => max(0, min(255, (int) hexdec($part))), str_split($hex, 2)) + [0, 0, 0];

        return imagecolorallocate($image, $red, $green, $blue) ?: 0;
    }

    private static function png(GdImage $image): string
    {
        ob_start();
        imagepng($image, null, 9);

        return (string) ob_get_clean();
    }
}
