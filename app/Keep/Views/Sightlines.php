<?php

declare(strict_types=1);

namespace App\Keep\Views;

use App\Http\Pages\Keep\Sight;
use App\Http\Pages\Keep\SightlinesGrid;
use App\Http\Pages\Keep\SightRow;
use App\Http\Pages\Keep\Vantage;
use App\Keep\SchoolClock;
use App\Keep\Viewers;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Viewing\Viewer;

/** Every row of a course in the eyes of several viewers at one instant. */
final readonly class Sightlines
{
    public const DAY_AT_FIRST = 3;

    public const LAST_DAY = 3660;

    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  array<array-key, int>  $days  how long ago the pass of each offer began, by the offer's key
     */
    public function grid(Decider $decider, int $at, array $days, bool $isDraft): SightlinesGrid
    {
        $zone = $decider->prepared->plan->zone;
        $compiled = CompiledDecider::of($decider->prepared);
        $vantages = [new Vantage('visitor', 'Visitor', 'not signed in', null, null)];
        $columns = [$compiled->decide(Viewers::visitor(), $at)];
        foreach ($decider->course->offers as $offer) {
            $day = $days[$offer->key] ?? self::DAY_AT_FIRST;
            $from = $zone->plusDays($at, -$day);
            $vantages[] = new Vantage('offer:'.$offer->key, $offer->title ?? $offer->key, 'from '.$this->clock->shortDate($from, false), $offer->key, $day);
            $columns[] = $compiled->decide(Viewers::holderOf($offer, $from, $zone), $at);
        }
        $rows = [];
        foreach (array_keys($decider->course->outline->items) as $position) {
            $rows[] = new SightRow(array_map(fn (array $decisions): Sight => $this->sight($decider->course->outline, $decisions, $position), $columns));
        }

        return new SightlinesGrid($this->clock->wall($at), $this->clock->words($at), abs($at - $this->clock->now()) < 60, $isDraft, $vantages, $rows);
    }

    /** @param  list<Decision>  $decisions */
    private function sight(Outline $outline, array $decisions, int $position): Sight
    {
        $decision = $decisions[$position];
        $glyph = Glyph::of($decision);
        $word = match (true) {
            $glyph === Glyph::Later && $decision->next !== null => $this->clock->shortDate($decision->next->at),
            $decision->state === State::Open && $decision->next !== null => 'to '.$this->clock->shortDate($decision->next->at),
            $decision->state === State::Locked => self::waitsFor($decision),
            default => null,
        };

        return new Sight(
            $glyph->value,
            Glyph::looksOnly($decision),
            $word,
            $glyph === Glyph::Later,
            self::count($outline, $decisions, $position),
            array_map(static fn (Reason $reason): string => $reason->value, $decision->why),
        );
    }

    /** Named only where this viewer can do or buy it. */
    private static function waitsFor(Decision $decision): ?string
    {
        return match (true) {
            in_array(Reason::Tier, $decision->why, true) => 'other tier',
            in_array(Reason::NotInPass, $decision->why, true) => 'other pass',
            in_array(Reason::Progress, $decision->why, true) => 'finish first',
            default => null,
        };
    }

    /**
     * Modules sum up the lessons inside, drafts left out.
     *
     * @param  list<Decision>  $decisions
     */
    private static function count(Outline $outline, array $decisions, int $position): ?string
    {
        if ($outline->items[$position]->kind !== Kind::Module) {
            return null;
        }
        $open = $all = 0;
        for ($inside = $position + 1; $inside < $outline->end[$position]; $inside++) {
            if ($outline->isPublishedLesson($inside)) {
                $all++;
                $open += $decisions[$inside]->state === State::Open ? 1 : 0;
            }
        }

        return "{$open} of {$all}";
    }
}
