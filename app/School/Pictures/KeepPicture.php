<?php

declare(strict_types=1);

namespace App\School\Pictures;

use App\Models\Person;
use App\Models\Picture;
use App\School\Log\ActivityLog;
use App\Words\Say;
use GdImage;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;

/**
 * Keeps a picture for the school's public pages, in a few widths. It is drawn anew: where it was taken and with what, and whatever
 * else its file held, does not go out with it.
 */
final readonly class KeepPicture
{
    /** In pixels; no picture is made wider than it is. */
    private const WIDTHS = [480, 960, 1600];

    /** Pixels that are drawn at most: a small file can hold a picture of any size. */
    private const MOST = 24_000_000;

    /** Of memory, in which the largest of them is drawn and turned. */
    private const ROOM = '640M';

    private const LEAST = 40;

    private const QUALITY = 82;

    public function __construct(private ClockInterface $clock, private ActivityLog $log)
    {
    }

    /** @throws NoPicture with what is wrong with it, for whoever uploaded it */
    public function __invoke(string $file, string $title, Person $author): Picture
    {
        $drawn = self::read($file);
        $token = Str::lower(Str::random(24));
        [$widths, $bytes, $kept] = [[], 0, []];
        try {
            foreach (array_unique(array_map(static fn (int $width): int => min($width, imagesx($drawn)), self::WIDTHS)) as $width) {
                $webp = self::webp($drawn, $width);
                $kept[] = Picture::path($token, $width);
                Storage::put(Picture::path($token, $width), $webp);
                $widths[] = $width;
                $bytes += strlen($webp);
            }

            return DB::transaction(function () use ($token, $title, $drawn, $widths, $bytes, $author): Picture {
                $widest = max($widths);
                $picture = Picture::query()->create([
                    'token' => $token, 'title' => $title, 'width' => $widest, 'height' => max(1, (int) round(imagesy($drawn) * $widest / imagesx($drawn))),
                    'widths' => $widths, 'bytes' => $bytes, 'made_by' => $author->id, 'made_at' => $this->clock->now(),
                ]);
                $this->log->note('picture.kept', $author, after: ['token' => $token, 'title' => $title]);

                return $picture;
            });
        } catch (\Throwable $e) {
            Storage::delete($kept);
            throw $e;
        }
    }

    /** @throws NoPicture */
    private static function read(string $file): GdImage
    {
        // Looked at before it is drawn.
        $size = @getimagesize($file);
        if ($size === false || ! in_array($size[2], [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP, IMAGETYPE_GIF], true)) {
            throw new NoPicture(Say::text('refused.picture.no_picture'));
        }
        if ($size[0] * $size[1] > self::MOST) {
            throw new NoPicture(Say::text('refused.picture.too_many_pixels'));
        }
        if (min($size[0], $size[1]) < self::LEAST) {
            throw new NoPicture(Say::text('refused.picture.too_small'));
        }
        self::makeRoom();
        $drawn = @imagecreatefromstring((string) file_get_contents($file));

        if ($drawn !== false) {
            imagepalettetotruecolor($drawn);
        }

        return self::upright($drawn === false ? throw new NoPicture(Say::text('refused.picture.no_picture')) : $drawn, $size[2] === IMAGETYPE_JPEG ? $file : null);
    }

    /** Whoever has more already, as a worker has, keeps it. */
    private static function makeRoom(): void
    {
        $now = ini_parse_quantity((string) ini_get('memory_limit'));
        if ($now > 0 && $now < ini_parse_quantity(self::ROOM)) {
            ini_set('memory_limit', self::ROOM);
        }
    }

    /** As it was held when it was taken, which a file of a camera says beside the picture. */
    private static function upright(GdImage $drawn, ?string $jpeg): GdImage
    {
        $said = $jpeg !== null && function_exists('exif_read_data') ? @exif_read_data($jpeg) : false;
        $turned = match (is_array($said) ? $said['Orientation'] ?? null : null) {
            3 => imagerotate($drawn, 180, 0),
            6 => imagerotate($drawn, -90, 0),
            8 => imagerotate($drawn, 90, 0),
            default => $drawn,
        };

        return $turned === false ? $drawn : $turned;
    }

    private static function webp(GdImage $drawn, int $width): string
    {
        $scaled = imagescale($drawn, $width, -1, IMG_BICUBIC);
        if ($scaled === false) {
            throw new NoPicture(Say::text('refused.picture.no_picture'));
        }
        imagesavealpha($scaled, true);
        ob_start();
        imagewebp($scaled, null, self::QUALITY);

        return (string) ob_get_clean();
    }
}
