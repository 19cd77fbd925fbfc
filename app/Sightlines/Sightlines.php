<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Drafts\Rules\OpeningRule;
use App\Drafts\Rules\RuleTable;
use App\Models\Course;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\Vantage;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use SilentKeep\Core\Compiled\Answers;
use SilentKeep\Core\Compiled\Chronicle;
use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Foresight\Reaching;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Viewing\Viewer;

/** Every row of a course in the eyes of several viewers, over time. */
final readonly class Sightlines
{
    /** Of the past that is told at once. */
    private const DAYS_BACK = 60;

    /** Before the instant that is looked at, where that is further back. */
    private const DAYS_BEFORE = 14;

    public function __construct(private Plans $plans, private Vantages $vantages, private VantageWords $words, private SchoolClock $clock, private PastColumns $past)
    {
    }

    /** At the instant that is looked at alone. */
    public function atOnce(Course $course, Decider $decider, ?Decider $published, Look $look): SightlinesGrid
    {
        return $this->grid($course, $decider, $published, $look, null, overTime: false, rules: null);
    }

    /**
     * From some weeks before the instant that is looked at, for all time.
     *
     * @param  Decider  $decider  of what is looked at: the draft, or what is published
     * @param  ?Decider  $published  to be shown beside the draft
     * @param  ?RuleTable  $rules  of what is looked at, for what the Timeline shows besides; null: it is not asked for
     */
    public function overTime(Course $course, Decider $decider, ?Decider $published, Look $look, ?RuleTable $rules): SightlinesGrid
    {
        return $this->grid($course, $decider, $published, $look, $this->from($look->at ?? $this->clock->now()), overTime: true, rules: $rules);
    }

    private function grid(Course $course, Decider $decider, ?Decider $published, Look $look, ?int $from, bool $overTime, ?RuleTable $rules): SightlinesGrid
    {
        $now = $this->clock->now();
        $from ??= $look->at ?? $now;
        $asked = array_slice($look->points ?? $this->vantages->usual($decider), 0, Vantages::MOST);
        $seen = $this->vantages->stand($course, $decider, $asked);
        $turns = new SightTable($this->clock);
        // A draft is shown as if it had been live all along; what is published beside it as it was.
        $isLive = $look->see->isLive($course);
        $columns = $this->columns($course, $decider, $seen, $turns, $from, $overTime, $isLive);
        $before = $published === null ? null : $this->published($course, $published, $seen, $decider, $turns, $from, $overTime);

        return new SightlinesGrid(
            at: $look->at ?? $now,
            now: $now,
            from: $from,
            overTime: $overTime,
            see: $look->see->value,
            vantages: array_map(fn (SeenFrom $one): Vantage => $this->words->of($one, $decider), $seen),
            sights: $turns->sights,
            instants: $turns->instants,
            cells: self::rows($columns, $decider->course->outline->count()),
            before: $before,
            missing: count($seen) < count($asked),
            best: $rules === null ? null : self::best($decider, $seen, $now),
            openings: $rules === null ? [] : self::openings($decider, $seen, $rules),
            revisions: $from < $now && ($isLive || $published !== null) ? $this->past->revisions($course, $from) : [],
        );
    }

    /**
     * Up to now as it was, by the rules and facts of each day, where they are of what is live; from now on as it is.
     *
     * @param  list<SeenFrom>  $seen
     * @return list<list<list<int>>>
     */
    private function columns(Course $course, Decider $decider, array $seen, SightTable $turns, int $from, bool $overTime, bool $isLive): array
    {
        $now = $this->clock->now();
        $compiled = $this->plans->compiled($decider);
        if (! $isLive || $from >= $now) {
            return array_map(static fn (SeenFrom $one): array => $turns->of(self::told($compiled, $one->viewer, $from, $overTime)), $seen);
        }
        $items = array_map(static fn (Item $item): string => $item->key, $decider->course->outline->items);
        $columns = [];
        foreach ($this->past->of($course, $seen, $from, $overTime ? $now - 1 : $from) as $index => $past) {
            $present = $overTime || $past === null ? $turns->of(self::told($compiled, $seen[$index]->viewer, $past === null ? $from : $now, $overTime)) : [];
            $columns[] = $past === null ? $present : $turns->after($past, $present, $items);
        }

        return $columns;
    }

    /** @return non-empty-array<int, Answers> by the instant from which they hold */
    private static function told(CompiledDecider $decider, Viewer $viewer, int $from, bool $overTime): array
    {
        return $overTime ? (new Chronicle($decider))->of($viewer, $from) : [$from => $decider->answers($viewer, $from)];
    }

    /**
     * When the most diligent would first be let in: holders of a pass from its beginning, others from now.
     *
     * @param  list<SeenFrom>  $seen
     * @return list<list<?int>>
     */
    private static function best(Decider $decider, array $seen, int $now): array
    {
        $reaching = new Reaching($decider);

        return array_map(static fn (SeenFrom $one): array => $one->viewer->staff ? [] : $reaching->reach($one->viewer, $one->since ?? $now)->open, $seen);
    }

    /**
     * What opens each row in the plans that pace these viewers.
     *
     * @param  list<SeenFrom>  $seen
     * @return array<string, list<?OpeningRule>>
     */
    private static function openings(Decider $decider, array $seen, RuleTable $rules): array
    {
        $openings = [];
        foreach ($seen as $one) {
            $plan = $one->offer === null ? $decider->course->mainPlan : $one->offer->plan;
            if ($plan !== null) {
                $openings[$plan->name] ??= $rules->openings($plan->name);
            }
        }

        return $openings;
    }

    private function from(int $at): int
    {
        $now = $this->clock->now();
        $from = min($now - self::DAYS_BACK * 86400, $at - self::DAYS_BEFORE * 86400);

        // The same all day long.
        return $from - $from % 86400;
    }

    /**
     * The cells of the same vantages as it is published, by the rows of the draft.
     *
     * @param  list<SeenFrom>  $seen
     * @return list<list<list<int>>>
     */
    private function published(Course $course, Decider $published, array $seen, Decider $draft, SightTable $turns, int $from, bool $overTime): array
    {
        $standing = $this->vantages->stand($course, $published, array_map(static fn (SeenFrom $one): VantagePoint => $one->point, $seen));
        $columns = array_combine(array_map(static fn (SeenFrom $one): string => (string) $one->point, $standing), $this->columns($course, $published, $standing, $turns, $from, $overTime, isLive: true));
        $rows = [];
        foreach ($draft->course->outline->items as $item) {
            $position = $published->course->outline->positionOf($item->key);
            $rows[] = array_map(static fn (SeenFrom $one): array => $position === null ? [] : $columns[(string) $one->point][$position] ?? [], $seen);
        }

        return $rows;
    }

    /**
     * @param  list<list<list<int>>>  $columns
     * @return list<list<list<int>>>
     */
    private static function rows(array $columns, int $count): array
    {
        $rows = [];
        for ($row = 0; $row < $count; $row++) {
            $rows[] = array_column($columns, $row);
        }

        return $rows;
    }
}
