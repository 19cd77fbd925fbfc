<?php

declare(strict_types=1);

namespace App\Ledger\Changes;

use App\Ledger\Past\Entry;
use App\Ledger\Past\Facts;
use App\Ledger\Past\Onlooker;
use App\Ledger\Past\PastRows;
use SilentKeep\Core\Foresight\Comparing\Stage;

/** The stages that somebody went through at a course between two instants: rules that went live, and what was written of them. */
final readonly class Stages
{
    /** @param  non-empty-list<RulesThen>  $rules  of {@see RulesOverTime} */
    public function __construct(private array $rules, private int $course)
    {
    }

    /**
     * @param  list<Entry>  $entries  of what is theirs, in the order in which it was written
     * @return non-empty-list<Stage> the first at `$from`
     */
    public function of(array $entries, Onlooker $looker, int $from, int $until): array
    {
        $facts = new Facts;
        $rules = 0;
        [$next, $at] = [0, PHP_INT_MIN];
        $stages = [];
        foreach ([$from, ...$this->instants($entries, $from, $until)] as $instant) {
            $brought = null;
            for (; isset($this->rules[$rules + 1]) && $this->rules[$rules + 1]->at <= $instant; $rules++) {
                $brought = $this->rules[$rules + 1]->cause;
            }
            $written = [];
            // A clock that was put back stands still.
            for (; isset($entries[$next]) && max($at, $entries[$next]->at) <= $instant; $next++) {
                $at = max($at, $entries[$next]->at);
                $fact = $entries[$next]->fact;
                if ($this->concerns($entries[$next])) {
                    $written[] = [$entries[$next], $facts->of($entries[$next]->subject, $fact->person)[$fact->row] ?? null];
                }
                $facts->take($entries[$next]);
            }
            $then = $this->rules[$rules];
            $stages[] = new Stage($then->decider, $then->compiled, $looker->viewer(new PastRows($facts, $then->school), $this->course), $instant, $brought ?? ($written === [] ? '' : Cause::of($written)));
        }

        return $stages;
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<int> ascending, after `$from`
     */
    private function instants(array $entries, int $from, int $until): array
    {
        $instants = [];
        foreach ([...$this->rules, ...array_filter($entries, $this->concerns(...))] as $one) {
            if ($one->at > $from && $one->at <= $until) {
                $instants[$one->at] = true;
            }
        }
        ksort($instants);

        return array_keys($instants);
    }

    /** What is of another course opens nothing here; but a pass may give labels. */
    private function concerns(Entry $entry): bool
    {
        return $entry->fact->course === null || $entry->fact->course === $this->course || $entry->subject === 'passes';
    }
}
