<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Drafts\Rules\RuleRow;
use App\Drafts\Rules\RuleTable;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastAnswer;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Sightlines\PastColumns;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Why\CellContext;
use App\Sightlines\Why\Gate;
use App\Sightlines\Why\Gates;
use App\Words\Glyph;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Samples;
use SilentKeep\Core\Deciding\State;

/** Why a cell was as it was, by the rules and by what was known then. Nothing opens it any more. */
final readonly class PastWhyCards
{
    public function __construct(private PastColumns $columns, private Past $past, private Plans $plans, private SchoolClock $clock)
    {
    }

    /**
     * Null where nothing has come about since: then it is told as what is.
     *
     * @param  CourseDocument  $document  of which the row is now
     * @param  int  $version  of the draft; 0: there is none
     */
    public function of(Course $course, SeenFrom $seen, CourseDocument $document, string $item, int $at, int $version): ?WhyCard
    {
        $looker = $at < $this->clock->now() ? $this->columns->since($course, $seen, $at) : null;
        if ($looker === null) {
            return null;
        }
        $then = $this->past->of($course, $looker, new Moment($at));
        $position = $then?->answer->decider->course->outline->positionOf($item);
        if ($then === null || $position === null) {
            $shut = Gate::shut(Say::text('why.gate.course'), Sentence::say($then === null ? 'past_told.not_published' : 'past_told.no_row_then'));

            return $this->card($seen, $then === null ? null : $then->revision, $this->rule($seen, $document, $item, null), PastColumns::notThere($item), [$shut], $version);
        }
        $gates = (new Gates(new CellContext($then->answer, $then->document, $this->clock->stoppedAt($at))))->of($position);

        return $this->card($seen, $then->revision, $this->rule($seen, $then->document, $item, $then), $then->answer->decisions()[$position], $gates, $version);
    }

    /** @param  list<Gate>  $gates */
    private function card(SeenFrom $seen, ?int $revision, RuleRow $rule, Decision $decision, array $gates, int $version): WhyCard
    {
        $glyph = Glyph::of($decision);
        $by = $revision === null ? null : Say::text('past_told.rules', ['number' => $revision]);
        $shut = count(array_filter($gates, static fn (Gate $gate): bool => ! $gate->passed));
        $isOpen = $decision->state === State::Open;

        return new WhyCard(
            item: $decision->item,
            version: $version,
            glyph: $glyph->value,
            look: Glyph::looksOnly($decision),
            word: ucfirst($glyph->word()),
            summary: $isOpen ? (string) $by : Say::text('past_told.shut_then', ['shut' => $shut]),
            otherwise: $isOpen || $by === null ? null : Sentence::of($by),
            why: array_map(static fn (Reason $reason): string => $reason->value, $decision->why),
            gates: $gates,
            given: [],
            intro: null,
            ways: [],
            blind: null,
            rule: $rule,
            plan: $seen->offer?->plan?->name,
            expected: [],
        );
    }

    private function rule(SeenFrom $seen, CourseDocument $document, string $item, ?PastAnswer $then): RuleRow
    {
        $rules = new RuleTable($document, null, $seen->offer?->plan->name ?? $document->read()->mainPlan(), $this->clock->year(), $then->school->guests ?? $this->plans->schoolLetsGuestsIn(), fn (): Samples => $then?->answer->decider->prepared->samples ?? $this->plans->of($document)->prepared->samples);

        return $rules->rows()[(int) array_search($item, array_map(strval(...), array_keys($document->readItems())), true)];
    }
}
