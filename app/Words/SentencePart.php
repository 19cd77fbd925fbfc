<?php

declare(strict_types=1);

namespace App\Words;

use JsonSerializable;
use OpenApi\Attributes as OA;

/** A stretch of a sentence; titles and names stand out from the words around them. */
#[OA\Schema]
final readonly class SentencePart implements JsonSerializable
{
    /** @param  ?string  $of  the field that it stands for, where it can be set */
    public function __construct(#[OA\Property] public string $text, #[OA\Property] public bool $title = false, #[OA\Property(x: ['optional' => true])] public ?string $of = null)
    {
    }

    /** @return array{text: string, title: bool, of?: string} */
    public function jsonSerialize(): array
    {
        return ['text' => $this->text, 'title' => $this->title] + ($this->of === null ? [] : ['of' => $this->of]);
    }
}
