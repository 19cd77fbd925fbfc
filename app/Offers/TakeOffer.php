<?php

declare(strict_types=1);

namespace App\Offers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Models\Offer;
use App\Models\Person;
use App\People\Acts\ActStep;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use App\Words\Say;
use Illuminate\Support\Collection;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** Somebody takes an offer for themselves: as what they were shown, and on its terms as they are now. */
final readonly class TakeOffer implements PeopleAct
{
    /** @param  ?string  $shown  what the form was about; null: whatever it is now */
    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private Terms $terms, private Takers $takers, private Offer $offer, private ?string $shown)
    {
    }

    public function name(): string
    {
        return 'pass.given';
    }

    public function told(): string
    {
        return "Give {$this->offer->name} from {$this->clock->words($this->clock->now())}";
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
        $decider = $this->plans->live($this->offer->course) ?? throw new CannotAct(Say::text('learner.terms.not_sold'), 'offer');

        return array_values($people->map(function (Person $person) use ($decider): ActStep {
            $answer = $this->plans->ask($decider, $this->viewers->of($person, $this->offer->course), $this->clock->now());
            $taking = $this->terms->of($this->offer, $answer, $this->takers->of($person, $answer));
            if ($taking->pass === null) {
                throw new CannotAct($taking->refusal ?? '', 'offer');
            }
            if ($this->shown !== null && $this->shown !== $taking->fingerprint()) {
                throw new CannotAct(Say::text('learner.terms.changed'), 'offer');
            }

            return $this->step($person, $taking, $taking->pass);
        })->all());
    }

    private function step(Person $person, Taking $taking, Pass $pass): ActStep
    {
        $now = gmdate('Y-m-d H:i:s', $this->clock->now());
        $source = Shop::cents($this->offer, $taking) === 0 ? 'claimed' : 'bought in the stand-in shop';
        $changes = [RowChange::made('passes', [
            'person_id' => $person->id, 'course_id' => $this->offer->course_id, 'offer_id' => $this->offer->id, 'state' => $pass->state->value,
            'starts_at' => self::stored($pass->from), 'ends_at' => self::stored($pass->until), 'paced_from' => $pass->pacedFrom === null ? null : self::stored($pass->pacedFrom),
            'source' => $source, 'given_by' => null, 'created_at' => $now, 'updated_at' => $now,
        ])];
        foreach ($taking->replaces as $id => $lesser) {
            $changes[] = new RowChange('passes', $id, ['ends_at' => self::stored($lesser->until)], ['ends_at' => $now]);
        }
        $after = ['offer' => $this->offer->key, 'from' => self::stored($pass->from), 'until' => self::stored($pass->until), 'by' => $source];
        if ($taking->replaces !== []) {
            $after['instead'] = array_values(array_map(static fn (Pass $lesser): string => $lesser->offer, $taking->replaces));
        }

        return new ActStep($person->id, 'take it', $changes, [], $after, $this->offer->course_id);
    }

    private static function stored(int $instant): ?string
    {
        return $instant === Instant::NEVER ? null : gmdate('Y-m-d H:i:s', $instant);
    }
}
