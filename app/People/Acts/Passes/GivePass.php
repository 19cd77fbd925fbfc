<?php

declare(strict_types=1);

namespace App\People\Acts\Passes;

use App\Access\NewPasses;
use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\Person;
use App\People\Acts\ActStep;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Gives people a pass by an offer. */
final readonly class GivePass implements PeopleAct
{
    /**
     * @param  int  $from  instant at which it begins
     * @param  bool  $pacesAnew  its days count from its own beginning, though an earlier pass would carry its pacing on
     * @param  string  $source  what gives it
     */
    public function __construct(
        private NewPasses $newPasses,
        private SchoolClock $clock,
        private Offer $offer,
        private int $from,
        private bool $pacesAnew = false,
        private string $source = 'by hand',
        private ?Person $giver = null,
    ) {
    }

    public function name(): string
    {
        return 'pass.given';
    }

    public function told(): string
    {
        return Say::text('acts.give_pass.give_name_from_when', ['name' => $this->offer->name, 'when' => $this->clock->words($this->from)]);
    }

    public function isHelp(): bool
    {
        return false;
    }

    public function canBeUndone(): bool
    {
        return true;
    }

    public function steps(Collection $people): array
    {
        $passes = $this->newPasses->columnsForAll($people, $this->offer, $this->from, $this->pacesAnew) ?? throw new CannotAct(Say::text('acts.give_pass.what_name_opens_not', ['name' => $this->offer->name]), 'offer');
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $steps = [];
        foreach ($people as $person) {
            $columns = $passes[$person->id];
            if ($columns === null) {
                $steps[] = new ActStep($person->id, Say::text('acts.give_pass.hold_for_as_long'));

                continue;
            }
            $until = $columns['ends_at'] === null ? Say::text('acts.give_pass.for_good') : Say::text('acts.give_pass.to_when', ['when' => $this->clock->words($columns['ends_at'])]);
            $stored = static fn (?int $instant): ?string => $instant === null ? null : gmdate('Y-m-d H:i:s', $instant);
            $made = RowChange::made('passes', [
                'person_id' => $person->id, 'course_id' => $this->offer->course_id, 'offer_id' => $this->offer->id, 'state' => 'active',
                'starts_at' => $stored($columns['starts_at']), 'ends_at' => $stored($columns['ends_at']), 'paced_from' => $stored($columns['paced_from']),
                'source' => $this->source, 'given_by' => $this->giver?->id, 'created_at' => $now, 'updated_at' => $now,
            ]);
            $steps[] = new ActStep(
                $person->id,
                Say::text($columns['paced_from'] === null ? 'acts.give_pass.get_it' : 'acts.give_pass.get_it_carried_on', ['until' => $until]),
                [$made],
                [],
                ['offer' => $this->offer->key, 'from' => $stored($columns['starts_at']), 'until' => $stored($columns['ends_at']), 'by' => $this->source],
                $this->offer->course_id,
            );
        }

        return $steps;
    }
}
