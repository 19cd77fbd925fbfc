<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Database\Value;
use App\Models\ActRecord;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Label;
use App\Models\Pass;
use App\Models\Person;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Route;

/** Who or what gave somebody that by which an item is open to them: a person, a trigger, the shop or a file, and when. */
final readonly class WhoGave
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /** @return list<Sentence> none where it is open by no such thing, or nobody knows any more */
    public function of(CellContext $cell, int $item, Course $course, Person $person): array
    {
        $via = $cell->snapshot->standings[$item]->via;
        if ($via === Route::Grant) {
            return $this->grant($cell, $item, $course, $person);
        }

        return $via === Route::Pass ? [...$this->pass($cell, $item, $course, $person), ...$this->labels($cell, $item, $person)] : [];
    }

    /** @return list<Sentence> */
    private function grant(CellContext $cell, int $item, Course $course, Person $person): array
    {
        $grant = $cell->snapshot->grantFor($item);
        $row = $grant === null ? null : Grant::query()->where('person_id', $person->id)->where('course_id', $course->id)->where('item_key', $grant->item)
            ->where('starts_at', gmdate('Y-m-d H:i:s', $grant->from))->orderByDesc('id')->first();
        $act = $row === null ? null : $this->act('grants', $row->id);
        if ($grant === null || $act === null) {
            return [];
        }
        $position = $cell->outline->positionOf($grant->item);

        return [Sentence::say('why.given.handed_out', $act, ['title' => $position === null ? $grant->item : $cell->title($position)])];
    }

    /** @return list<Sentence> */
    private function pass(CellContext $cell, int $item, Course $course, Person $person): array
    {
        $reading = $cell->snapshot->passFor($item);
        if ($reading === null) {
            return [];
        }
        $held = Pass::query()->with('offer')->where('person_id', $person->id)->where('course_id', $course->id)->where('starts_at', gmdate('Y-m-d H:i:s', $reading->pass->from))->orderByDesc('id')->get();
        $row = $held->first(static fn (Pass $pass): bool => $pass->offer->key === $reading->offer->key && Viewers::pass($pass)->until === $reading->pass->until);
        if ($row === null) {
            return [];
        }
        $title = ['title' => $reading->offer->title ?? $reading->offer->key];
        $act = $this->act('passes', $row->id);

        return [$act === null ? Sentence::say('why.given.pass_source', ['source' => $row->source], $title) : Sentence::say('why.given.pass', $act, $title)];
    }

    /** @return list<Sentence> of the labels that are asked for on the way to it, and are their own */
    private function labels(CellContext $cell, int $item, Person $person): array
    {
        $asked = array_intersect($cell->labelsOnPath($item), $cell->viewer->labels);

        $held = $asked === [] ? [] : Label::query()->where('person_id', $person->id)->whereIn('label', $asked)->orderBy('label')->get()->all();
        $acts = $this->acts('labels', array_values(array_map(static fn (Label $label): int => $label->id, $held)));

        return array_values(array_map(static fn (Label $label): Sentence => isset($acts[$label->id])
            ? Sentence::say('why.given.label', $acts[$label->id], ['label' => $label->label])
            : Sentence::say('why.given.label_source', ['source' => $label->source], ['label' => $label->label]), $held));
    }

    /** @return ?array{by: string, when: string} by the act that made a row; null where none did */
    private function act(string $table, int $row): ?array
    {
        return $this->acts($table, [$row])[$row] ?? null;
    }

    /**
     * @param  list<int>  $rows
     * @return array<int, array{by: string, when: string}> by row, of those that an act made
     */
    private function acts(string $table, array $rows): array
    {
        $made = $rows === [] ? [] : ActRecord::query()->join('act_changes', 'act_changes.act_id', '=', 'people_acts.id')->leftJoin('people', 'people.id', '=', 'people_acts.actor_id')
            ->where('act_changes.table', $table)->whereIn('act_changes.row_id', $rows)->whereNull('act_changes.before')->where('people_acts.state', 'done')->whereNull('people_acts.undone_at')
            ->orderBy('people_acts.id')->toBase()->get(['act_changes.row_id', 'people_acts.by', 'people_acts.made_at', 'people.name'])->all();
        $acts = [];
        foreach ($made as $act) {
            // The latest counts: what was taken back and done again has two.
            $acts[Value::int($act->row_id)] = ['by' => match (true) {
                is_string($act->by) && is_string($act->name) => Say::text('why.given.through', ['name' => $act->name, 'by' => Sentence::title($act->by)]),
                is_string($act->by) => Say::text('why.given.trigger', ['name' => Sentence::title($act->by)]),
                is_string($act->name) => Say::text('why.given.person', ['name' => $act->name]),
                default => Say::text('why.given.program'),
            }, 'when' => $this->clock->words((int) strtotime(Value::text($act->made_at).' UTC'))];
        }

        return $acts;
    }
}
