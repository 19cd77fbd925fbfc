<?php

declare(strict_types=1);

namespace SilentKeep\Core\Watching;

/** The `played-segments` of the xAPI video profile: stretches of a video in seconds, in the order in which they were played. */
final readonly class PlayedSegments
{
    /** A report of more than this is not one of a player. */
    private const MOST = 10_000;

    /** @param  list<array{float, float}>  $segments */
    private function __construct(private array $segments)
    {
    }

    /** @throws InvalidReport if it is not `from[.]until` in seconds, several of them joined by `[,]`; empty: nothing was played */
    public static function parse(string $text): self
    {
        if ($text === '') {
            return new self([]);
        }
        $segments = [];
        $parts = explode('[,]', $text, self::MOST + 1);
        foreach ($parts as $part) {
            if (count($parts) > self::MOST || preg_match('/^(\d{1,9}(?:\.\d{1,9})?)\[\.\](\d{1,9}(?:\.\d{1,9})?)$/D', $part, $m) !== 1) {
                throw InvalidReport::notSegments($text);
            }
            $segments[] = [(float) $m[1], (float) $m[2]];
        }

        return new self($segments);
    }

    /** Several reports that came in at once, as one. */
    public static function together(self ...$reports): self
    {
        return new self(array_merge(...array_map(static fn (self $report): array => $report->segments, array_values($reports))));
    }

    /**
     * Those that run forwards, cut to the video.
     *
     * @return list<array{float, float}>
     */
    public function within(float $length): array
    {
        $within = [];
        foreach ($this->segments as [$from, $until]) {
            $until = min($until, $length);
            if ($from < $until) {
                $within[] = [$from, $until];
            }
        }

        return $within;
    }
}
