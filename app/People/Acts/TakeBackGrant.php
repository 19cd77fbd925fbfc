<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Access\SchoolClock;
use App\Models\Grant;
use App\Models\Person;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Lets what was handed out end now: one grant of one person, or a row of a course that many have been handed. */
final readonly class TakeBackGrant implements PeopleAct
{
    /**
     * @param  ?int  $grant  null: whatever of the row they hold
     * @param  ?int  $course  with the row, where no grant is named
     */
    private function __construct(private SchoolClock $clock, private ?int $grant, private ?int $course, private string $item, private string $title)
    {
    }

    public static function one(SchoolClock $clock, int $grant): self
    {
        return new self($clock, $grant, null, '', '');
    }

    /** @param  string  $title  of the row */
    public static function ofRow(SchoolClock $clock, int $course, string $item, string $title): self
    {
        return new self($clock, null, $course, $item, $title);
    }

    public function name(): string
    {
        return 'item.taken-back';
    }

    public function told(): string
    {
        return $this->grant === null ? Say::text('acts.take_back_grant.take_title_back', ['title' => $this->title]) : Say::text('acts.take_back_grant.take_back_what_was');
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
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $query = Grant::query()->whereIn('person_id', $people->pluck('id')->all())->where(fn ($query) => $query->whereNull('ends_at')->orWhere('ends_at', '>', $now));
        $grants = ($this->grant === null ? $query->where('course_id', $this->course)->where('item_key', $this->item) : $query->whereKey($this->grant))->orderBy('id')->get()->groupBy('person_id');

        return array_values($people->map(static function (Person $person) use ($grants, $now): ActStep {
            $changes = $before = [];
            $course = null;
            foreach ($grants->get($person->id) ?? [] as $grant) {
                $end = $grant->getAttributes()['ends_at'] ?? null;
                $changes[] = new RowChange('grants', $grant->id, ['ends_at' => is_string($end) ? $end : null], ['ends_at' => $now]);
                [$before, $course] = [['item' => $grant->item_key], $grant->course_id];
            }

            return $changes === [] ? new ActStep($person->id, Say::text('acts.take_back_grant.do_not_have_any')) : new ActStep($person->id, Say::text('acts.lose_it_now'), $changes, $before, [], $course);
        })->all());
    }
}
