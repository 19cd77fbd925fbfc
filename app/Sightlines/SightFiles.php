<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Course;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\VantageWords;
use App\Words\CalendarFile;
use App\Words\Glyph;
use App\Words\RuleWords;
use App\Words\Say;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;

/** What others see, in files for other programs. */
final readonly class SightFiles
{
    public function __construct(private Plans $plans, private SchoolClock $clock, private VantageWords $words, private PastColumns $past)
    {
    }

    /**
     * The openings and closings of one viewer from an instant on, as iCalendar: what opens or closes with what it lies in is told of by
     * that alone, and what closes together is one ending.
     *
     * @param  int  $revised  instant since which nothing of it can have changed
     * @param  int  $sequence  grows whenever something of it can have changed
     */
    public function calendar(Decider $decider, SeenFrom $seen, int $from, int $revised, int $sequence): string
    {
        $events = $times = [];
        $before = null;
        foreach ($this->plans->ask($decider, $seen->viewer, $from)->chronicle() as $at => $answers) {
            $turned = [];
            foreach ($before === null ? [] : $answers->changedFrom($before) as $item) {
                $open = $answers->decision($item)->state === State::Open;
                if ($before === null || $open === ($before->decision($item)->state === State::Open)) {
                    continue;
                }
                $turned[$item] = $open;
                if (($turned[$decider->course->outline->parent[$item]] ?? null) === $open) {
                    continue;
                }
                $one = $decider->course->outline->items[$item];
                $what = $open ? 'opens' : 'closes';
                // The same event again once its date has moved, and another one for the second time that a row opens.
                $time = $times[$one->key][$what] = ($times[$one->key][$what] ?? 0) + 1;
                $together = $open ? null : $events["closes {$at}"] ?? null;
                $titles = [...$together['titles'] ?? [], $one->title ?? $one->key];
                $events[$open ? "opens {$item} {$at}" : "closes {$at}"] = [
                    'uid' => $together['uid'] ?? implode("\0", [$decider->course->key, (string) $seen->point, $one->key, $what, (string) $time]),
                    'at' => $at,
                    'titles' => $titles,
                    'summary' => Say::text($open ? 'sightlines.sight_files.opens' : 'sightlines.sight_files.closes', ['list' => RuleWords::enumeration($titles, 'and'), 'count' => count($titles)]),
                ];
            }
            $before = $answers;
        }

        return CalendarFile::write(($decider->course->title ?? $decider->course->key).': '.$this->words->of($seen, $decider)->name, Say::text('sightlines.sight_files.what_a_viewer_sees'), array_values(array_map(static fn (array $event): array => ['uid' => $event['uid'], 'at' => $event['at'], 'summary' => $event['summary']], $events)), $revised, $sequence);
    }

    /**
     * The grid at one instant, for CSV: a row an item, a column a vantage.
     *
     * @param  list<SeenFrom>  $seen
     * @param  bool  $published  whether the rules are those that are live: of an instant that is past those of then are told
     * @return list<list<string>>
     */
    public function grid(Course $course, Decider $decider, array $seen, int $at, bool $published): array
    {
        $past = $published && $at < $this->clock->now() ? $this->past->at($course, $seen, $decider->course->outline->items, $at) : [];
        $columns = [];
        foreach ($seen as $index => $one) {
            $columns[] = $past[$index] ?? $this->plans->ask($decider, $one->viewer, $at)->decisions();
        }
        $rows = [['Row', 'Kind', 'Depth', ...array_map(fn (SeenFrom $one): string => $this->words->of($one, $decider)->name, $seen)]];
        foreach ($decider->course->outline->items as $item => $it) {
            $rows[] = [$it->title ?? $it->key, $it->kind->value, (string) $decider->course->outline->depth[$item], ...array_map(fn (array $decisions): string => $this->cell($decisions[$item]), $columns)];
        }

        return $rows;
    }

    private function cell(Decision $decision): string
    {
        $next = $decision->next === null ? '' : Say::text('sightlines.sight_files.value_from_what', ['value' => $decision->next->state->value, 'what' => str_replace('T', ' ', $this->clock->wall($decision->next->at))]);

        return Glyph::of($decision)->word().(Glyph::looksOnly($decision) ? Say::text('sightlines.sight_files.look_only') : '').$next;
    }
}
