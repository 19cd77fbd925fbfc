<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Completion;
use App\Models\Course;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Marks items as finished for people, with what is inside them and not optional, whatever finishes it otherwise. What they have finished themselves stays as it is. */
final readonly class FinishItem implements PeopleAct
{
    /**
     * @param  list<string>  $items  that were asked for
     * @param  string  $title  of those
     * @param  list<string>  $keys  of what is marked
     */
    public function __construct(private SchoolClock $clock, private Course $course, private array $items, private string $title, private array $keys, private string $note)
    {
    }

    public function name(): string
    {
        return 'item.finished-for';
    }

    public function told(): string
    {
        return Say::text('acts.finish_item.told', ['title' => $this->title]);
    }

    public function isHelp(): bool
    {
        return true;
    }

    public function canBeUndone(): bool
    {
        return true;
    }

    public function steps(Collection $people): array
    {
        $stored = gmdate('Y-m-d H:i:s', $this->clock->now());
        $done = [];
        foreach (Completion::query()->where('course_id', $this->course->id)->whereIn('item_key', $this->keys)->whereIn('person_id', $people->pluck('id')->all())->get() as $completion) {
            $done[$completion->person_id][$completion->item_key] = true;
        }
        $steps = [];
        foreach ($people as $person) {
            $left = array_values(array_filter($this->keys, static fn (string $key): bool => ! isset($done[$person->id][$key])));
            $steps[] = $left === []
                ? new ActStep($person->id, Say::text('acts.finish_item.have_already'))
                : new ActStep($person->id, Say::text('acts.finish_item.have_it_finished'), array_map(fn (string $key): RowChange => RowChange::made('completions', [
                    'person_id' => $person->id, 'course_id' => $this->course->id, 'item_key' => $key, 'completed_at' => $stored,
                ]), $left), [], (count($this->items) === 1 ? ['item' => $this->items[0]] : ['items' => $this->items]) + ($this->note === '' ? [] : ['note' => $this->note]), $this->course->id);
        }

        return $steps;
    }
}
