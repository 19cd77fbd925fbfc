<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled\Conditions;

use SilentKeep\Core\Compiled\BearingLabels;
use SilentKeep\Core\Compiled\CourseMasks;
use SilentKeep\Core\Compiled\Keep;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Viewing\Offer;

/** Whom the conditions of a course let in, and whom they may still let in: people with the same labels are let in by the same. */
final class Audiences
{
    /** That a table by what is done takes for each, beside its mask. */
    private const BYTES_A_CONDITION = 64;

    /** @var array<string, TruthTables> */
    private array $holding = [];

    /** @var array<array-key, TruthTables> by offer */
    private array $notSettledAgainst = [];

    /** @var array<string, string> */
    private array $whateverIsDone = [];

    /** @var array<string, AudienceByDone> */
    private array $byDone = [];

    private readonly ConditionsAsked $asked;

    /** @param  int  $mostKept  how many masks of one kind are kept: labels make as many as there are viewers */
    public function __construct(private readonly CourseMasks $course, private readonly int $mostKept)
    {
        $this->asked = $course->conditions;
    }

    /** What holds of a kind of viewers, or the holders of an offer. */
    public function holding(ViewerKind $kind, ?Offer $offer): TruthTables
    {
        $name = $kind->value.($offer === null ? '' : '='.$offer->key);

        return $this->holding[$name] ??= new TruthTables($name."\0", $this->course, $kind, $offer, asItMayCome: false);
    }

    /** What is not settled against the holders of an offer. */
    public function notSettledAgainst(Offer $offer): TruthTables
    {
        return $this->notSettledAgainst[$offer->key] ??= new TruthTables('='.$offer->key."\0", $this->course, ViewerKind::Learner, $offer, asItMayCome: true);
    }

    /**
     * Where all conditions on the path let in.
     *
     * @param  string  $done  mask
     */
    public function of(TruthTables $tables, BearingLabels $labels, string $done, int $at): string
    {
        return $this->undated($tables, $labels, $done, $at) & $this->dated($tables, $labels, $done, $at);
    }

    /**
     * Where those let in that no date changes: the same for as long as the labels are.
     *
     * @param  string  $done  mask
     */
    public function undated(TruthTables $tables, BearingLabels $labels, string $done, int $at): string
    {
        return $this->asked->undated === [] ? $this->course->all : $this->letIn($this->asked->undated, $tables, $labels, $done, $at);
    }

    /**
     * Where those let in that dates change.
     *
     * @param  string  $done  mask
     */
    public function dated(TruthTables $tables, BearingLabels $labels, string $done, int $at): string
    {
        return $this->asked->dated === [] ? $this->course->all : $this->letIn($this->asked->dated, $tables, $labels, $done, $at);
    }

    /** @param  array<int, non-empty-list<int>>  $kinds */
    private function letIn(array $kinds, TruthTables $tables, BearingLabels $labels, string $done, int $at): string
    {
        $in = null;
        foreach ($kinds as $kind => $conditions) {
            $key = $kind.$tables->name.match ($kind & ~ConditionsAsked::ON_DONE) {
                0 => '',
                ConditionsAsked::ON_DATES => $this->asked->stretch($at),
                ConditionsAsked::ON_LABELS => $labels->labelsTold($at),
                default => $labels->stand($at),
            };
            if (($kind & ConditionsAsked::ON_DONE) === 0) {
                $these = $this->whateverIsDone[$key] ?? Keep::in($this->whateverIsDone, $key, $this->mostKept, static fn (): string => $tables->letIn($conditions, $labels->at($at), $at));
            } else {
                $byDone = $this->byDone[$key] ?? Keep::in(
                    $this->byDone, $key, $this->mostByDone(count($conditions)), static fn (): AudienceByDone => $tables->byDone($conditions, $labels->at($at), $at),
                );
                $these = $byDone->of($done, fn (int $condition): bool => $this->lets($condition, $tables, $labels, $done, $at));
            }
            $in = $in === null ? $these : $in & $these;
        }

        return $in ?? $this->course->all;
    }

    /** How many tables of so many conditions take no more room than masks do: most of theirs are those of the conditions themselves. */
    private function mostByDone(int $conditions): int
    {
        return intdiv($this->mostKept * $this->course->count, $this->course->count + self::BYTES_A_CONDITION * $conditions);
    }

    /** Of what conditions ask about, what is done, as one text. */
    public function doneTold(string $done): string
    {
        return $this->asked->whatIsDone ? "\0".($done & $this->asked->done) : '';
    }

    /**
     * @param  string  $done  mask
     * @return array<int, true> of what conditions ask about
     */
    private function positions(string $done): array
    {
        $positions = [];
        $done &= $this->asked->done;
        for ($item = strpos($done, Mask::IN); $item !== false; $item = strpos($done, Mask::IN, $item + 1)) {
            $positions[$item] = true;
        }

        return $positions;
    }

    /**
     * Whether one condition lets in.
     *
     * @param  int  $condition  its number
     * @param  string  $done  mask
     */
    public function lets(int $condition, TruthTables $tables, BearingLabels $labels, string $done, int $at): bool
    {
        return $tables->lets($condition, $labels->at($at), $done, $this->asked->conditions[$condition]->asksMore ? $this->positions($done) : [], $at);
    }
}
