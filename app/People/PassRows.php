<?php

declare(strict_types=1);

namespace App\People;

use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Support\Collection;

/** Which passes of people an act is about: one, or those of an offer. */
final readonly class PassRows
{
    private function __construct(private ?int $pass, private ?int $offer)
    {
    }

    public static function pass(int $id): self
    {
        return new self($id, null);
    }

    public static function offer(Offer $offer): self
    {
        return new self(null, $offer->id);
    }

    /**
     * @param  Collection<int, Person>  $people
     * @return array<int, Pass> by person: of several passes of an offer, the one that ends last
     */
    public function of(Collection $people): array
    {
        $query = Pass::query()->with('offer')->whereIn('person_id', $people->pluck('id')->all());
        $query = $this->pass !== null ? $query->whereKey($this->pass) : $query->where('offer_id', $this->offer);
        $passes = [];
        foreach ($query->orderBy('id')->get() as $pass) {
            $other = $passes[$pass->person_id] ?? null;
            if ($other === null || $pass->ends_at === null || ($other->ends_at !== null && $pass->ends_at >= $other->ends_at)) {
                $passes[$pass->person_id] = $pass;
            }
        }

        return $passes;
    }
}
