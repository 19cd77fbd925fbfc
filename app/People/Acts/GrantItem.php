<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Person;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Hands an item, and all inside it, to people: it is open to them whatever the rules say. */
final readonly class GrantItem implements PeopleAct
{
    /** @param  ?int  $until  instant; null: for good */
    public function __construct(private SchoolClock $clock, private Course $course, private string $item, private string $title, private ?int $until)
    {
    }

    public function name(): string
    {
        return 'item.granted';
    }

    public function told(): string
    {
        return Say::text('acts.grant_item.hand_title_out', ['title' => $this->title]);
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
        $now = $this->clock->now();
        $stored = gmdate('Y-m-d H:i:s', $now);
        $until = $this->until === null ? null : gmdate('Y-m-d H:i:s', $this->until);
        $held = Grant::query()->where('course_id', $this->course->id)->where('item_key', $this->item)->whereIn('person_id', $people->pluck('id')->all())
            ->where('starts_at', '<=', $stored)->where(fn ($query) => $query->whereNull('ends_at')->when($until !== null, fn ($q) => $q->orWhere('ends_at', '>=', $until)))
            ->pluck('person_id')->flip();
        $words = $this->until === null ? Say::text('acts.grant_item.get_for_good') : Say::text('acts.set_label.get_it_to_when', ['when' => $this->clock->words($this->until)]);

        return array_values($people->map(fn (Person $person): ActStep => $held->has($person->id)
            ? new ActStep($person->id, Say::text('acts.have_as_long_already'))
            : new ActStep($person->id, $words, [RowChange::made('grants', [
                'person_id' => $person->id, 'course_id' => $this->course->id, 'item_key' => $this->item, 'starts_at' => $stored, 'ends_at' => $until, 'created_at' => $stored, 'updated_at' => $stored,
            ])], [], ['item' => $this->title, 'until' => $until], $this->course->id))->all());
    }
}
