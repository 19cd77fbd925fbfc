<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Models\Pass;
use App\Models\Person;
use App\Models\Purchase;
use App\People\Acts\ActStep;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use App\Words\Say;
use Illuminate\Support\Collection;

/** Changes all passes of one purchase in one step: carries them on, or withdraws them and lets go on what they had ended as upgrades. */
final readonly class ChangePurchase implements PeopleAct
{
    /**
     * @param  ?int  $until  instant to which they last now; null: they are withdrawn
     * @param  int  $now  instant at which that happens
     */
    private function __construct(private Purchase $purchase, private ?int $until, private int $now)
    {
    }

    public static function carryOn(Purchase $purchase, int $until, int $now): self
    {
        return new self($purchase, $until, $now);
    }

    public static function withdraw(Purchase $purchase, int $now): self
    {
        return new self($purchase, null, $now);
    }

    public function name(): string
    {
        return $this->until === null ? 'pass.withdrawn' : 'pass.extended';
    }

    public function told(): string
    {
        return $this->until === null ? Say::text('terms.change_purchase.refund_name', ['name' => $this->purchase->name()]) : Say::text('terms.change_purchase.carry_name_on', ['name' => $this->purchase->name()]);
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
        $ids = $people->map(static fn (Person $person): int => $person->id)->all();
        $passes = Pass::query()->with('offer')->where('purchase_id', $this->purchase->id)->whereIn('person_id', $ids)->where('state', '!=', 'revoked')->orderBy('id')->get();
        $goOn = $this->until !== null || $passes->isEmpty() ? [] : $this->whatItEnded($ids);
        $steps = [];
        foreach ($passes as $pass) {
            $after = $this->after($pass);
            $change = self::change($pass, $after);
            if ($change->before === $after) {
                continue;
            }
            // They go on in the same step as the first pass that is withdrawn, which may be taken back as one.
            $again = $steps === [] ? $goOn : [];
            $changes = [$change, ...array_map(static fn (Pass $lesser): RowChange => self::change($lesser, ['ends_at' => self::column($lesser, 'would_end_at'), 'ended_by' => null, 'would_end_at' => null]), $again)];
            $told = $again === [] ? $after : [...$after, 'again' => array_map(static fn (Pass $lesser): string => $lesser->offer->key, $again)];
            $steps[] = new ActStep($pass->person_id, $this->until === null ? Say::text('terms.change_purchase.lose_it') : Say::text('terms.change_purchase.have_it_longer'), $changes, ['offer' => $pass->offer->key, ...$change->before ?? []], $told, $pass->course_id);
        }

        return $steps;
    }

    /**
     * What has ended in favour of an upgrade stays ended: it would last longer, should the upgrade be refunded.
     *
     * @return array<string, ?string>
     */
    private function after(Pass $pass): array
    {
        if ($this->until === null) {
            return ['state' => 'revoked'];
        }
        $until = gmdate('Y-m-d H:i:s', $this->until);

        return $pass->gaveWay($this->now) ? ['would_end_at' => $until] : ['ends_at' => $until, 'warned_at' => null, 'erased_at' => null];
    }

    /**
     * Unless the school has set a later end since.
     *
     * @param  array<int>  $people
     * @return list<Pass>
     */
    private function whatItEnded(array $people): array
    {
        return array_values(Pass::query()->with('offer')->where('ended_by', $this->purchase->id)->whereIn('person_id', $people)->where('state', '!=', 'revoked')
            ->where('ends_at', '<=', gmdate('Y-m-d H:i:s', $this->now))->orderBy('id')->get()->all());
    }

    /** @param  array<string, scalar|null>  $after */
    private static function change(Pass $pass, array $after): RowChange
    {
        return new RowChange('passes', $pass->id, array_combine(array_keys($after), array_map(static fn (string $column): string|int|null => self::column($pass, $column), array_keys($after))), $after);
    }

    /** As it is stored. */
    private static function column(Pass $pass, string $column): string|int|null
    {
        $value = $pass->getAttributes()[$column] ?? null;

        return is_string($value) || is_int($value) ? $value : null;
    }
}
