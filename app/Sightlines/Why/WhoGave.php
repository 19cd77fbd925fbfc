<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\ActRecord;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Label;
use App\Models\Pass;
use App\Models\Person;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Support\Facades\DB;
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

        return $asked === [] ? [] : array_values(Label::query()->where('person_id', $person->id)->whereIn('label', $asked)->orderBy('label')->get()->map(function (Label $label): Sentence {
            $given = $this->act('labels', $label->id);

            return $given === null
                ? Sentence::say('why.given.label_source', ['source' => $label->source], ['label' => $label->label])
                : Sentence::say('why.given.label', $given, ['label' => $label->label]);
        })->all());
    }

    /** @return ?array{by: string, when: string} by the act that made a row; null where none did */
    private function act(string $table, int $row): ?array
    {
        $act = ActRecord::query()->whereIn('id', DB::table('act_changes')->select('act_id')->where('table', $table)->where('row_id', $row)->whereNull('before'))->where('state', 'done')->whereNull('undone_at')->orderByDesc('id')->first();
        if ($act === null) {
            return null;
        }
        $actor = Person::query()->find($act->actor_id);

        return ['by' => match (true) {
            $act->by !== null => Say::text('why.given.trigger', ['name' => Sentence::title($act->by)]),
            $actor !== null => Say::text('why.given.person', ['name' => $actor->name]),
            default => Say::text('why.given.program'),
        }, 'when' => $this->clock->words($act->made_at->getTimestamp())];
    }
}
