<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Access\SchoolClock;
use App\Models\Offer;
use App\Models\Person;
use App\Offers\Taking;
use App\People\Acts\ActStep;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use App\Words\Say;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** Somebody takes for themselves what stands at a checkout: as what they were shown, and on its terms as they are now. */
final readonly class TakeWare implements PeopleAct
{
    /**
     * @param  ?string  $shown  what the form was about; null: whatever it is now
     * @param  int  $purchase  by which its passes are bought
     */
    public function __construct(private Deals $deals, private SchoolClock $clock, private Ware $ware, private ?string $shown, private int $purchase)
    {
    }

    public function name(): string
    {
        return 'pass.given';
    }

    public function told(): string
    {
        return Say::text('terms.take_ware.give_name_from_when', ['name' => $this->ware->name, 'when' => $this->clock->words($this->clock->now())]);
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
        return array_merge(...array_values($people->map(function (Person $person): array {
            $deal = $this->deals->of($this->ware, $person);
            if ($deal->refusal !== null) {
                throw new CannotAct($deal->refusal, 'offer');
            }
            if ($this->shown !== null && $this->shown !== $deal->fingerprint()) {
                throw new CannotAct(Say::text('learner.terms.changed'), 'offer');
            }

            return array_map(fn (array $part): ActStep => $this->step($person, $part[0], $part[1], $deal->cents), $deal->parts);
        })->all()));
    }

    private function step(Person $person, Offer $offer, Taking $taking, int $cents): ActStep
    {
        $pass = $taking->pass ?? throw new \LogicException('What may be taken brings a pass.');
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $source = match (true) {
            $cents === 0 => Say::text('terms.take_ware.claimed'),
            $this->ware->bundle === null => Say::text('terms.take_ware.bought'),
            default => Say::text('terms.take_ware.bought_with', ['name' => $this->ware->name]),
        };
        $changes = [RowChange::made('passes', [
            'person_id' => $person->id, 'course_id' => $offer->course_id, 'offer_id' => $offer->id, 'state' => $pass->state->value,
            'starts_at' => self::stored($pass->from), 'ends_at' => self::stored($pass->until), 'paced_from' => $pass->pacedFrom === null ? null : self::stored($pass->pacedFrom),
            'source' => $source, 'given_by' => null, 'purchase_id' => $this->purchase, 'created_at' => $now, 'updated_at' => $now,
        ])];
        foreach ($taking->replaces as $id => $lesser) {
            $changes[] = new RowChange('passes', $id, ['ends_at' => self::stored($lesser->until)], ['ends_at' => $now, 'ended_by' => $this->purchase, 'would_end_at' => self::stored($lesser->until)]);
        }
        $after = ['offer' => $offer->key, 'from' => self::stored($pass->from), 'until' => self::stored($pass->until), 'by' => $source];
        if ($taking->replaces !== []) {
            $after['instead'] = array_values(array_map(static fn (Pass $lesser): string => $lesser->offer, $taking->replaces));
        }

        return new ActStep($person->id, Say::text('terms.take_ware.take_it'), $changes, [], $after, $offer->course_id);
    }

    private static function stored(int $instant): ?string
    {
        return $instant === Instant::NEVER ? null : gmdate('Y-m-d H:i:s', $instant);
    }
}
