<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Compiled\Mask;

/**
 * Where conditions that ask what is done let in those who have the same labels, hold by the same offer and come in the same stretch of
 * time.
 */
final class AudienceByDone
{
    /** @var array<int, string> what is left where a lesson is not done, by the lesson */
    private array $undone = [];

    /** @var array<int, string> what is left where a lesson is done */
    private array $done = [];

    /** @var array<int, string> what is left without those conditions that have to be asked, by number */
    private array $asked = [];

    /** @param  string  $always  mask of what it does not matter for what is done */
    public function __construct(private string $always)
    {
    }

    /** A condition that asks about one lesson. */
    public function add(int $lesson, string $without, bool $letsInIfDone, bool $letsInIfNot): void
    {
        if (! $letsInIfDone && ! $letsInIfNot) {
            $this->always &= $without;
        } elseif (! $letsInIfNot) {
            $this->undone[$lesson] = isset($this->undone[$lesson]) ? $this->undone[$lesson] & $without : $without;
        } elseif (! $letsInIfDone) {
            $this->done[$lesson] = isset($this->done[$lesson]) ? $this->done[$lesson] & $without : $without;
        }
    }

    /** A condition that asks about more than that. */
    public function ask(int $number, string $without): void
    {
        $this->asked[$number] = $without;
    }

    /**
     * @param  string  $done  mask
     * @param  \Closure(int): bool  $lets  whether a condition, by number, lets in who has done that
     */
    public function of(string $done, \Closure $lets): string
    {
        $in = $this->always;
        foreach ($this->undone as $lesson => $left) {
            if ($done[$lesson] === Mask::OUT) {
                $in &= $left;
            }
        }
        foreach ($this->done as $lesson => $left) {
            if ($done[$lesson] === Mask::IN) {
                $in &= $left;
            }
        }
        foreach ($this->asked as $number => $without) {
            if (! $lets($number)) {
                $in &= $without;
            }
        }

        return $in;
    }
}
