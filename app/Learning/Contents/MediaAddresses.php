<?php

declare(strict_types=1);

namespace App\Learning\Contents;

use App\Access\SchoolClock;
use App\Models\Medium;
use Illuminate\Support\Facades\URL;

/** Addresses of media: signed, for one viewer alone, and not for long. */
final readonly class MediaAddresses
{
    /** Seconds for which an address holds at least; it ends with the hour after, so that a browser can keep what it has. */
    private const HOLDS = 3600;

    public function __construct(private SchoolClock $clock)
    {
    }

    /** @param  'file'|'poster'|'captions'  $what */
    public function of(Medium $medium, string $bearer, string $what = 'file'): string
    {
        $now = $this->clock->now();

        return URL::temporarySignedRoute($what === 'file' ? 'media' : "media.{$what}", new \DateTimeImmutable('@'.($now - $now % self::HOLDS + 2 * self::HOLDS)), ['medium' => $medium->id, 'for' => self::mark($bearer)], false);
    }

    public function medium(int $id): ?Medium
    {
        return Medium::query()->with('course.liveRevision')->find($id);
    }

    /** What an address says of whom it is for; who that is cannot be read from it. */
    public static function mark(string $bearer): string
    {
        $key = config('app.key');

        return substr(hash_hmac('sha256', $bearer, is_string($key) ? $key : ''), 0, 24);
    }
}
