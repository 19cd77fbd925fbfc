<?php

declare(strict_types=1);

namespace App\Words;

use OpenApi\Attributes as OA;

/** A sentence in which titles are marked as such, so that a page can set them apart without parsing. */
#[OA\Schema]
final readonly class Sentence
{
    /** Around titles, while a pattern is being filled: characters that stand for nothing. */
    private const BEGIN = "\u{E000}";

    private const END = "\u{E001}";

    /** After the name of what a title stands for. */
    private const OF = "\u{E002}";

    /** @param  list<SentencePart>  $segments */
    private function __construct(#[OA\Property(items: new OA\Items(ref: SentencePart::class))] public array $segments)
    {
    }

    /**
     * A title as it goes into words of which a sentence is made.
     *
     * @param  ?string  $of  names the field that it stands for, where it can be set
     */
    public static function title(string $title, ?string $of = null): string
    {
        return self::BEGIN.($of === null ? '' : $of.self::OF).$title.self::END;
    }

    /** @param  string  $words  said already, with titles in them as {@see title} marks them */
    public static function of(string $words): self
    {
        $segments = [];
        foreach (preg_split('/'.self::BEGIN.'(.*?)'.self::END.'/su', $words, flags: PREG_SPLIT_DELIM_CAPTURE) ?: [] as $index => $text) {
            if ($text !== '' || $index % 2 === 1) {
                $parts = explode(self::OF, $text, 2);
                $segments[] = new SentencePart($parts[1] ?? $text, $index % 2 === 1, isset($parts[1]) ? $parts[0] : null);
            }
        }

        return new self($segments);
    }

    /** As words of which another sentence can be made. */
    public function marked(): string
    {
        return implode('', array_map(static fn (SentencePart $part): string => $part->title ? self::title($part->text, $part->of) : $part->text, $this->segments));
    }

    /**
     * By its key; see {@see Say}.
     *
     * @param  array<string, string|int|float>  $with  by placeholder
     * @param  array<string, string|list<string>>  $titles  likewise; of several, one after the other with commas between them
     */
    public static function say(string $key, array $with = [], array $titles = []): self
    {
        return self::of(Say::text($key, $with + array_map(static fn (string|array $one): string => implode(', ', array_map(self::title(...), (array) $one)), $titles)));
    }

    public function __toString(): string
    {
        return implode('', array_map(static fn (SentencePart $segment): string => $segment->text, $this->segments));
    }
}
