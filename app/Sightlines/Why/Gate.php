<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** One of the gates on the way to an item, passed or shut. */
#[OA\Schema]
final readonly class Gate
{
    /** @param  bool  $inner  of whoever is observed */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public bool $passed,
        #[OA\Property] public Sentence $words,
        #[OA\Property] public ?WhyLink $link = null,
        #[OA\Property] public bool $inner = false,
    ) {
    }

    public static function passed(string $name, Sentence $words, ?WhyLink $link = null): self
    {
        return new self($name, passed: true, words: $words, link: $link);
    }

    public static function shut(string $name, Sentence $words, ?WhyLink $link = null): self
    {
        return new self($name, passed: false, words: $words, link: $link);
    }

    public function ofLearner(): self
    {
        return new self($this->name, $this->passed, $this->words, $this->link, inner: true);
    }
}
