<?php

declare(strict_types=1);

namespace App\Pages\People\Data;

use App\Access\SchoolClock;
use App\Models\ErasedPerson;
use App\Models\Person;
use App\Models\Purchase;
use App\Privacy\Held\Holding;
use App\Privacy\Held\Holdings;
use App\Words\Say;

/** Puts together what is kept of somebody. */
final readonly class PersonDataPageBuilder
{
    public function __construct(private SchoolClock $clock, private PlacesTold $places)
    {
    }

    public function page(Person $person): PersonDataPage
    {
        return new PersonDataPage(
            $person->id,
            $person->name,
            $person->address(),
            array_map(static fn (Holding $one): HeldLine => new HeldLine(Say::text("kept.sections.{$one->section->table}"), $one->rows, Say::text("privacy_told.on_erasing.{$one->section->onErasing->value}")), Holdings::of($person)),
            $person->isStaff() ? Say::text('privacy_told.refused.staff') : null,
            self::paysFor($person),
            $person->erased_at === null ? null : $this->erased($person),
        );
    }

    /** @return list<string> */
    private static function paysFor(Person $person): array
    {
        $running = Purchase::query()->with(['offer', 'bundle'])->where('person_id', $person->id)->whereNotNull('every')->whereIn('state', ['paid', 'missed'])->orderBy('id')->get();

        return array_values(array_unique($running->map(static fn (Purchase $one): string => $one->name())->all()));
    }

    private function erased(Person $person): ?ErasedTold
    {
        $erased = ErasedPerson::query()->where('person_id', $person->id)->first();
        if ($erased === null) {
            return null;
        }
        $gone = [];
        foreach ($erased->gone as $what => $count) {
            $gone[] = Say::text('privacy_told.gone', ['what' => $this->places->of($what), 'count' => $count]);
        }

        return new ErasedTold($this->clock->words($erased->erased_at->getTimestamp()), self::by($erased->by), $erased->state === 'done', $gone, $this->places->each($erased->left));
    }

    private static function by(string $hand): string
    {
        [$kind, $number] = [...explode(' ', $hand, 2), ''];
        $name = $kind === 'person' ? Person::query()->find((int) $number)?->name : null;

        return match (true) {
            $name !== null => Say::text('privacy_told.by.person', ['name' => $name]),
            $kind === 'schedule' => Say::text('privacy_told.by.schedule'),
            default => Say::text('privacy_told.by.machine'),
        };
    }
}
