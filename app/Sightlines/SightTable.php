<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Access\SchoolClock;
use App\Words\Glyph;
use App\Words\Say;
use SilentKeep\Core\Compiled\Answers;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;

/** Writes what many viewers see over time in few words: each sight and each instant once, and cells as numbers. */
final class SightTable
{
    /** @var list<Sight> */
    public array $sights = [];

    /** @var list<int> */
    public array $instants = [];

    /** @var array<string, int> */
    private array $sightNumbers = [];

    /** @var array<int, int> */
    private array $instantNumbers = [];

    public function __construct(private readonly SchoolClock $clock)
    {
    }

    /**
     * @param  non-empty-array<int, Answers>  $chronicle
     * @return list<list<int>> by row: a sight and since when, in turn
     */
    public function of(array $chronicle): array
    {
        $turns = [];
        $last = [];
        $before = null;
        foreach ($chronicle as $at => $answers) {
            foreach ($before === null ? array_keys(str_split($answers->states)) : $answers->changedFrom($before) as $row) {
                $sight = $this->numberOf($answers, $row);
                if (($last[$row] ?? null) !== $sight) {
                    $turns[$row][] = $sight;
                    $turns[$row][] = $this->instantNumbers[$at] ??= array_push($this->instants, $at) - 1;
                    $last[$row] = $sight;
                }
            }
            $before = $answers;
        }

        return array_values($turns);
    }

    /**
     * The same of what was before, by rows that may not have been there then; afterwards come the turns of what is.
     *
     * @param  array<int, array<array-key, Decision>>  $past  by instant and item
     * @param  list<list<int>>  $present
     * @param  list<string>  $items  keys of the rows
     * @return list<list<int>> by row
     */
    public function after(array $past, array $present, array $items): array
    {
        $turns = [];
        foreach ($items as $row => $item) {
            $turns[$row] = [];
            $last = null;
            foreach ($past as $at => $decisions) {
                $sight = $this->numberOfDecision($decisions[$item] ?? PastColumns::notThere($item));
                if ($sight !== $last) {
                    array_push($turns[$row], $sight, $this->instantNumbers[$at] ??= array_push($this->instants, $at) - 1);
                    $last = $sight;
                }
            }
            $then = $present[$row] ?? [];
            array_push($turns[$row], ...($last !== null && ($then[0] ?? null) === $last ? array_slice($then, 2) : $then));
        }

        return array_values($turns);
    }

    private function numberOfDecision(Decision $decision): int
    {
        $code = $decision->state->value[0].$decision->via?->value.($decision->act ? '+' : '-').($decision->next === null ? '' : $decision->next->at.$decision->next->state->value);
        foreach ($decision->why as $reason) {
            $code .= ','.$reason->value;
        }

        return $this->sightNumbers[$code] ??= array_push($this->sights, $this->sight($decision)) - 1;
    }

    private function numberOf(Answers $answers, int $row): int
    {
        $next = $answers->next($row);
        $code = $answers->codeOf($row).($next === null ? '' : $next->at.$next->state->value);
        foreach ($answers->why($row) as $reason) {
            $code .= ','.$reason->value;
        }

        return $this->sightNumbers[$code] ??= array_push($this->sights, $this->sight($answers->decision($row))) - 1;
    }

    private function sight(Decision $decision): Sight
    {
        $glyph = Glyph::of($decision);

        return new Sight(
            $glyph->value,
            Glyph::looksOnly($decision),
            $this->word($glyph, $decision),
            $decision->state->value,
            $decision->via?->value,
            array_map(static fn (Reason $reason): string => $reason->value, $decision->why),
            $decision->next?->at,
            $decision->next?->state->value,
        );
    }

    /** What is waited for is named only where this viewer can do or buy it. */
    private function word(Glyph $glyph, Decision $decision): ?string
    {
        return match (true) {
            $glyph === Glyph::Later && $decision->next !== null => $this->clock->cellDate($decision->next->at),
            $decision->state === State::Open && $decision->next !== null => Say::text('sightlines.sight_table.to_cell_date', ['cell_date' => $this->clock->cellDate($decision->next->at)]),
            $decision->state !== State::Locked => null,
            in_array(Reason::Tier, $decision->why, true) => Say::text('sightlines.sight_table.other_tier'),
            in_array(Reason::NotInPass, $decision->why, true) => Say::text('sightlines.sight_table.other_pass'),
            in_array(Reason::Progress, $decision->why, true) => Say::text('sightlines.sight_table.finish_first'),
            default => null,
        };
    }
}
