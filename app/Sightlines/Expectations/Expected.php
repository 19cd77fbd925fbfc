<?php

declare(strict_types=1);

namespace App\Sightlines\Expectations;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What is to stay so whatever is edited, and whether it does. */
#[OA\Schema]
final readonly class Expected
{
    /**
     * @param  string  $item  key of the row that it is about
     * @param  string  $vantage  who looks, as addresses name it
     * @param  bool  $kept  by the rules that are looked at
     * @param  bool  $broken  not kept by what is published already
     * @param  ?Sentence  $instead  what comes out where it is not kept
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $item,
        #[OA\Property] public string $vantage,
        #[OA\Property] public Sentence $words,
        #[OA\Property] public bool $kept,
        #[OA\Property] public ?Sentence $instead,
        #[OA\Property] public string $by,
        #[OA\Property] public bool $broken = false,
    ) {
    }

    public function brokenAlready(): self
    {
        return new self($this->id, $this->item, $this->vantage, $this->words, $this->kept, $this->instead, $this->by, broken: true);
    }
}
