<?php

declare(strict_types=1);

namespace App\Words;

use OpenApi\Attributes as OA;

/** A sentence in which titles are marked as such, so that a page can set them apart without parsing. */
#[OA\Schema]
final readonly class Sentence
{
    /** @param  list<SentencePart>  $segments */
    private function __construct(#[OA\Property(items: new OA\Items(ref: SentencePart::class))] public array $segments)
    {
    }

    /**
     * @param  string  $pattern  with `{}` where each title goes
     */
    public static function of(string $pattern, string ...$titles): self
    {
        $segments = [];
        foreach (explode('{}', $pattern) as $index => $text) {
            if ($index > 0) {
                $segments[] = new SentencePart(array_values($titles)[$index - 1] ?? '', true);
            }
            if ($text !== '') {
                $segments[] = new SentencePart($text);
            }
        }

        return new self($segments);
    }

    public function __toString(): string
    {
        return implode('', array_map(static fn (SentencePart $segment): string => $segment->text, $this->segments));
    }
}
