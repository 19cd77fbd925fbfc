<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Conditions\MomentFacts;
use SilentKeep\Core\Rules\Truth;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/**
 * The conditions of a course for one kind of viewer, or the holders of one offer: each is read once for each of its cases, and looked up
 * from then on.
 */
final class TruthTables
{
    /** @var array<int, string> a byte a case, by condition */
    private array $tables = [];

    /**
     * @param  string  $name  another for each of a course
     * @param  bool  $asItMayCome  of the holders of an offer: whether it is not settled against them, in place of whether it holds
     */
    public function __construct(public readonly string $name, private readonly CourseMasks $course, private readonly ViewerKind $kind, private readonly ?Offer $offer, private readonly bool $asItMayCome)
    {
    }

    /**
     * Where all conditions of a kind let in that stand on the path, none of which asks what is done.
     *
     * @param  list<int>  $conditions  by number
     * @param  list<string>  $held  labels
     */
    public function letIn(array $conditions, array $held, int $at): string
    {
        $in = $this->course->all;
        foreach ($conditions as $number) {
            if (! $this->lets($number, $held, '', [], $at)) {
                $in &= $this->course->conditions->conditions[$number]->without;
            }
        }

        return $in;
    }

    /**
     * The same of conditions that ask what is done.
     *
     * @param  list<int>  $conditions  by number
     * @param  list<string>  $held  labels
     */
    public function byDone(array $conditions, array $held, int $at): AudienceByDone
    {
        $byDone = new AudienceByDone($this->course->all);
        foreach ($conditions as $number) {
            $condition = $this->course->conditions->conditions[$number];
            if ($condition->asksMore || count($condition->lessons) > 1) {
                $byDone->ask($number, $condition->without);
            } else {
                $byDone->add($condition->lessons[0], $condition->without, $this->lets($number, $held, $this->course->all, [], $at), $this->lets($number, $held, $this->course->none, [], $at));
            }
        }

        return $byDone;
    }

    /**
     * Whether one condition lets in.
     *
     * @param  list<string>  $held  labels
     * @param  string  $done  mask, of conditions that ask for it
     * @param  array<int, true>  $positions  the same as positions, of conditions that ask for more
     */
    public function lets(int $number, array $held, string $done, array $positions, int $at): bool
    {
        $condition = $this->course->conditions->conditions[$number];
        if ($condition->asksMore) {
            return $this->read($condition, $held, $positions, $at);
        }
        $table = $this->tables[$number] ??= $this->table($condition);

        return $table[$condition->caseOf($held, $done, $at)] === Mask::IN;
    }

    private function table(AskedCondition $condition): string
    {
        $table = '';
        for ($case = 0, $cases = $condition->cases(); $case < $cases; $case++) {
            $table .= $this->read($condition, ...$condition->somebody($case)) ? Mask::IN : Mask::OUT;
        }

        return $table;
    }

    /**
     * @param  list<string>  $held  labels
     * @param  array<int, true>  $done
     */
    private function read(AskedCondition $condition, array $held, array $done, int $at): bool
    {
        $coverage = $this->offer === null ? null : $this->course->prepared->coverage($this->offer);
        if ($this->asItMayCome && $this->offer !== null && $coverage !== null) {
            return $condition->condition->read(MomentFacts::asItMayCome($this->course->outline, $held, $done, $at, $this->offer, $coverage)) !== Truth::No;
        }

        return $condition->condition->read(MomentFacts::asItStands($this->course->outline, $held, $done, $at, $this->kind, $this->offer, $coverage)) === Truth::Yes;
    }
}
