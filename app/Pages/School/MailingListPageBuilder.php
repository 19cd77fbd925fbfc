<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\ListContact;
use App\Models\Person;
use App\Words\Say;
use Generator;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;

/** Puts together what is seen of the mailing list. */
final readonly class MailingListPageBuilder
{
    private const PER_PAGE = 50;

    /** Contacts that are looked up at once for a file. */
    private const GROUP = 500;

    public function __construct(private SchoolClock $clock)
    {
    }

    /** @param  ?string  $label  null: all */
    public function page(int $page, ?string $label): MailingListPage
    {
        $total = self::people($label)->count();
        $people = self::people($label)->orderBy('name')->orderBy('id')->forPage($page, self::PER_PAGE)->get();
        $rows = $this->rows($people->toBase());

        return new MailingListPage($rows, Value::texts(ListContact::query()->distinct()->orderBy('label')->pluck('label')), $label, $total, $page, max(1, (int) ceil($total / self::PER_PAGE)));
    }

    /**
     * As mailing lists read it: a line for each contact, the labels with commas between them.
     *
     * @return Generator<list<string>>
     */
    public function csv(?string $label): Generator
    {
        yield [Say::text('outbox_told.list.name'), Say::text('outbox_told.list.email'), Say::text('outbox_told.list.labels'), Say::text('outbox_told.list.since')];
        $last = 0;
        do {
            $people = self::people($label)->where('id', '>', $last)->orderBy('id')->limit(self::GROUP)->get();
            foreach ($this->rows($people->toBase()) as $row) {
                yield [$row->name, $row->email, implode(',', $row->labels), $row->since];
            }
            $last = $people->last()->id ?? $last;
        } while ($people->count() === self::GROUP);
    }

    /** @return Builder<Person> */
    private static function people(?string $label): Builder
    {
        return Person::query()->whereIn('id', ListContact::query()->select('person_id')->when($label !== null, static fn (Builder $query) => $query->where('label', $label)));
    }

    /**
     * @param  Collection<int, Person>  $people
     * @return list<ListContactRow>
     */
    private function rows(Collection $people): array
    {
        $contacts = ListContact::query()->whereIn('person_id', $people->pluck('id')->all())->orderBy('id')->get()->groupBy('person_id');
        $rows = [];
        foreach ($people as $person) {
            $its = $contacts->get($person->id);
            if ($its !== null && $its->isNotEmpty()) {
                $labels = array_values($its->map(static fn (ListContact $one): string => $one->label)->sort()->all());
                $rows[] = new ListContactRow($person->id, $person->name, $person->address(), $labels, $this->clock->words($its->firstOrFail()->added_at->getTimestamp()), $its->last()->source ?? '');
            }
        }

        return $rows;
    }
}
