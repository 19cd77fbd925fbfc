<?php

declare(strict_types=1);

namespace App\Offers\Sales;

use App\Models\Offer;
use App\Offers\Taking;

/** What it would come to if somebody took what stands at a checkout now. */
final readonly class Deal
{
    /**
     * @param  ?string  $refusal  why they cannot, in one sentence; null: they can
     * @param  list<array{Offer, Taking}>  $parts  what they would get, or, of a single offer, why not
     * @param  int  $cents  in the smallest unit of the currency
     * @param  ?int  $paidUntil  instant to which the first payment of a membership lasts
     */
    public function __construct(public ?string $refusal, public array $parts, public int $cents, public ?int $paidUntil)
    {
    }

    /** What a form that was shown says it was about, so that nobody is sold something else than they saw. */
    public function fingerprint(): string
    {
        return $this->refusal !== null ? 'refused' : implode('; ', array_map(fn (array $part): string => count($this->parts) === 1 ? $part[1]->fingerprint() : "{$part[0]->key} {$part[1]->fingerprint()}", $this->parts));
    }
}
