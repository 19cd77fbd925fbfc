<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Models\Pass;
use App\Models\Person;
use App\Models\Purchase;
use App\People\Acts\ActStep;
use App\People\Acts\PeopleAct;
use App\People\Acts\RowChange;
use Illuminate\Support\Collection;

/** Changes all passes of one purchase in one step: carries them on, or withdraws them. */
final readonly class ChangePurchase implements PeopleAct
{
    /** @param  ?int  $until  instant to which they last now; null: they are withdrawn */
    private function __construct(private Purchase $purchase, private ?int $until)
    {
    }

    public static function carryOn(Purchase $purchase, int $until): self
    {
        return new self($purchase, $until);
    }

    public static function withdraw(Purchase $purchase): self
    {
        return new self($purchase, null);
    }

    public function name(): string
    {
        return $this->until === null ? 'pass.withdrawn' : 'pass.extended';
    }

    public function told(): string
    {
        return $this->until === null ? "Refund {$this->purchase->name()}" : "Carry {$this->purchase->name()} on";
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
        $steps = [];
        $passes = Pass::query()->with('offer')->where('purchase_id', $this->purchase->id)->whereIn('person_id', $people->map(static fn (Person $person): int => $person->id)->all())->where('state', '!=', 'revoked')->orderBy('id')->get();
        foreach ($passes as $pass) {
            $columns = $pass->getAttributes();
            $after = $this->until === null ? ['state' => 'revoked'] : ['ends_at' => gmdate('Y-m-d H:i:s', $this->until), 'warned_at' => null, 'erased_at' => null];
            $before = array_map(static fn (mixed $value): ?string => is_string($value) ? $value : null, array_intersect_key($columns, $after));
            if ($before !== $after) {
                $steps[] = new ActStep($pass->person_id, $this->until === null ? 'lose it' : 'have it longer', [new RowChange('passes', $pass->id, $before, $after)], ['offer' => $pass->offer->key, ...$before], $after, $pass->course_id);
            }
        }

        return $steps;
    }
}
