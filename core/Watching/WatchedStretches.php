<?php

declare(strict_types=1);

namespace SilentKeep\Core\Watching;

/** Which seconds of a video have been watched: the union of what was played, cut to the video's length. Grows, never falls. */
final readonly class WatchedStretches
{
    /** Seconds; gaps of at most this count as played. */
    private const LONGEST_BRIDGED = 0.5;

    /** @param  list<array{float, float}>  $segments  ascending, apart from each other, within the video */
    private function __construct(public float $length, public array $segments)
    {
    }

    /**
     * @param  float  $length  of the video, in seconds
     *
     * @throws InvalidReport if it is not above 0
     */
    public static function none(float $length): self
    {
        return $length > 0 && is_finite($length) ? new self($length, []) : throw InvalidReport::videoHasNoLength();
    }

    /** As the `played-segments` of the xAPI video profile, to the microsecond: `0[.]62.5[,]80[.]118`. */
    public function toText(): string
    {
        $second = static fn (float $seconds): string => rtrim(rtrim(sprintf('%.6F', $seconds), '0'), '.');

        return implode('[,]', array_map(static fn (array $segment): string => $second($segment[0]).'[.]'.$second($segment[1]), $this->segments));
    }

    /** In seconds. */
    public function seconds(): float
    {
        return array_sum(array_map(static fn (array $segment): float => $segment[1] - $segment[0], $this->segments));
    }

    /** From 0 to 1. */
    public function share(): float
    {
        return min(1.0, $this->seconds() / $this->length);
    }

    /**
     * With as much of a report as may be credited: what is new in it, from the video's beginning on, until the
     * credit is used up. Segments that run backwards or lie outside the video bring nothing. Short gaps count as played, and
     * are paid for as what was played is.
     *
     * @param  float  $credit  seconds of new coverage at most
     */
    public function with(PlayedSegments $played, float $credit = INF): self
    {
        $segments = $this->segments;
        foreach ($this->bridged(self::union([...$this->segments, ...$played->within($this->length)])) as [$from, $until]) {
            foreach (self::gaps($segments, $from, $until) as [$start, $end]) {
                $taken = min($end - $start, max(0.0, $credit));
                $credit -= $taken;
                if ($taken > 0) {
                    $segments[] = [$start, $start + $taken];
                }
            }
            $segments = self::union($segments);
        }

        return new self($this->length, $segments);
    }

    /**
     * With what players leave out between, before and after, as they report times unevenly and a film's last moment often never.
     *
     * @param  list<array{float, float}>  $segments  ascending, apart from each other
     * @return list<array{float, float}>
     */
    private function bridged(array $segments): array
    {
        $bridged = [];
        foreach ($segments as [$from, $until]) {
            $last = count($bridged) - 1;
            $before = $last < 0 ? 0.0 : $bridged[$last][1];
            // Times of a few decimals differ by a hair from what they should.
            $from = $from - $before <= self::LONGEST_BRIDGED + 1e-9 ? $before : $from;
            if ($last >= 0 && $from <= $before) {
                $bridged[$last] = [$bridged[$last][0], $until];
            } else {
                $bridged[] = [$from, $until];
            }
        }
        $last = count($bridged) - 1;
        if ($last >= 0 && $this->length - $bridged[$last][1] <= self::LONGEST_BRIDGED + 1e-9) {
            $bridged[$last] = [$bridged[$last][0], $this->length];
        }

        return $bridged;
    }

    /**
     * @param  list<array{float, float}>  $segments
     * @return list<array{float, float}>
     */
    private static function union(array $segments): array
    {
        sort($segments);
        $union = [];
        foreach ($segments as [$from, $until]) {
            $last = count($union) - 1;
            if ($last >= 0 && $from <= $union[$last][1]) {
                $union[$last] = [$union[$last][0], max($union[$last][1], $until)];
            } else {
                $union[] = [$from, $until];
            }
        }

        return $union;
    }

    /**
     * What of a stretch is not covered yet.
     *
     * @param  list<array{float, float}>  $covered  ascending, apart from each other
     * @return list<array{float, float}>
     */
    private static function gaps(array $covered, float $from, float $until): array
    {
        $gaps = [];
        foreach ($covered as [$start, $end]) {
            if ($end <= $from || $start >= $until) {
                continue;
            }
            if ($start > $from) {
                $gaps[] = [$from, $start];
            }
            $from = $end;
        }
        if ($from < $until) {
            $gaps[] = [$from, $until];
        }

        return $gaps;
    }
}
