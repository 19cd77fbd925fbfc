<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

/** What counts for a pass, what of it is done, and where prerequisites stand in the way. */
final class Progress
{
    private readonly string $eligibleLessons;

    private string $undoneLessons;

    private ?string $passes = null;

    /** @var array<int, true> items whose own prerequisites are unmet and which are not complete */
    private array $blocked = [];

    public function __construct(private readonly CompiledCourse $course, private readonly string $eligible, private string $done)
    {
        $this->eligibleLessons = $eligible & $course->lessons;
        $this->undoneLessons = $this->eligibleLessons & ($done ^ $course->all);
    }

    /** One more lesson or part is done. */
    public function finish(int $item): void
    {
        $this->done[$item] = Mask::IN;
        $this->undoneLessons[$item] = Mask::OUT;
        $this->passes = null;
        $this->blocked = [];
    }

    /** Whether the progress gate passes for one item: as {@see self::passes()}, where few are asked about. */
    public function passesFor(int $item): bool
    {
        foreach ($this->course->gates[$item] as $gate) {
            if ($this->prerequisitesMet($gate)) {
                continue;
            }
            foreach ($this->course->upward[$item] as $step) {
                if ($this->isComplete($step)) {
                    return true;
                }
                if ($step === $gate) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Where the progress gate passes. */
    public function passes(): string
    {
        if ($this->passes !== null) {
            return $this->passes;
        }
        foreach ($this->course->waiting as $item) {
            if (! $this->isComplete($item) && ! $this->prerequisitesMet($item)) {
                $this->blocked[$item] = true;
            }
        }

        return $this->passes = $this->shutBelow($this->blocked);
    }

    /**
     * Where it fails and would go on failing if all of this were done too.
     *
     * @param  string  $more  what might still be done
     */
    public function stuck(string $more): string
    {
        $this->passes();
        if ($this->blocked === []) {
            return $this->course->none;
        }
        $best = new self($this->course, $this->eligible, $this->done | ($more & $this->eligible));
        $hopeless = array_filter($this->blocked, static fn (bool $is, int $item): bool => ! $best->prerequisitesMet($item), ARRAY_FILTER_USE_BOTH);

        return $this->shutBelow($hopeless) ^ $this->course->all;
    }

    /**
     * All items but those shut and what is inside them, as far as nothing complete stands between.
     *
     * @param  array<int, true>  $shut  in reading order
     */
    private function shutBelow(array $shut): string
    {
        $open = $this->course->all;
        $until = 0;
        foreach ($shut as $item => $_) {
            if ($item < $until) {
                continue;
            }
            $open[$item] = Mask::OUT;
            $until = $this->course->outline->end[$item];
            for ($inside = $item + 1; $inside < $until; $inside++) {
                if ((isset($shut[$inside]) || $open[$this->course->outline->parent[$inside]] === Mask::OUT) && ! $this->isComplete($inside)) {
                    $open[$inside] = Mask::OUT;
                }
            }
        }

        return $open;
    }

    private function isComplete(int $item): bool
    {
        if (! $this->course->isModule[$item]) {
            return $this->done[$item] === Mask::IN;
        }

        return ! $this->isEmpty($item) && ! $this->holds($this->undoneLessons, $item);
    }

    /** A module without a lesson that counts. */
    private function isEmpty(int $item): bool
    {
        return $this->course->isModule[$item] && ! $this->holds($this->eligibleLessons, $item);
    }

    private function holds(string $mask, int $module): bool
    {
        $first = strpos($mask, Mask::IN, $module);

        return $first !== false && $first < $this->course->outline->end[$module];
    }

    private function prerequisitesMet(int $item): bool
    {
        foreach ($this->course->earlier[$item] ?? [] as $before) {
            if ($this->eligible[$before] === Mask::IN && ! $this->isEmpty($before)) {
                if (! $this->isComplete($before)) {
                    return false;
                }
                break;
            }
        }
        $after = $this->course->after[$item] ?? null;
        if ($after === null) {
            return true;
        }
        $left = $met = 0;
        foreach ($after->items as $key) {
            if ($this->eligible[$key] === Mask::IN) {
                $left++;
                $met += $this->isComplete($key) || $this->isEmpty($key) ? 1 : 0;
            }
        }

        return $met >= $after->required($left);
    }
}
