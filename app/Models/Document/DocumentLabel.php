<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A label that stands somewhere in the rules of a course: at a row that asks for it, or at an offer that gives it. */
final readonly class DocumentLabel
{
    /**
     * @param  ?string  $item  the key of the row; null where an offer gives it
     * @param  ?string  $offer  the key of the offer; null where a row asks for it
     */
    public function __construct(public string $label, public ?string $item, public ?string $offer)
    {
    }
}
