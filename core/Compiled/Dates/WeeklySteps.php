<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Dates;

use SilentKeep\Core\Compiled\Mask;

/** The weekly steps of passes that begin on one weekday: in the order in which they come for these. */
final class WeeklySteps
{
    /** @var list<int> seconds of wall-clock time after the beginning, ascending */
    public readonly array $ascending;

    /** @var list<int> where each of those stands among the steps */
    private readonly array $steps;

    /** @var array<int, string> by how many have come */
    private array $come = [];

    /** @param  list<int>  $seconds  of wall-clock time after the beginning, of each step */
    public function __construct(public readonly array $seconds)
    {
        $ascending = $seconds;
        asort($ascending);
        $this->steps = array_keys($ascending);
        $this->ascending = array_values($ascending);
    }

    /** @return string a byte a step: whether it has come */
    public function come(int $howMany): string
    {
        if (! isset($this->come[$howMany])) {
            $come = str_repeat(Mask::OUT, count($this->seconds));
            for ($rank = 0; $rank < $howMany; $rank++) {
                $come[$this->steps[$rank]] = Mask::IN;
            }
            $this->come[$howMany] = $come;
        }

        return $this->come[$howMany];
    }
}
