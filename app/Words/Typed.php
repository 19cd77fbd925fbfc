<?php

declare(strict_types=1);

namespace App\Words;

/** What somebody typed, to be compared with names: without case, accents and marks. */
final readonly class Typed
{
    /** Words that say nothing of what is looked for. */
    private const EMPTY = ['a', 'an', 'the', 'to', 'of', 'for', 'in', 'on', 'my', 'do', 'how', 'i', 'is', 'where', 'what', 'set', 'make', 'add', 'change', 'edit', 'new', 'with', 'by', 'and'];

    /** @param  list<string>  $words */
    private function __construct(public array $words)
    {
    }

    public static function of(string $text): self
    {
        return new self(self::words($text));
    }

    /** @return list<string> */
    public static function words(string $text): array
    {
        $plain = mb_strtolower(\Normalizer::normalize($text, \Normalizer::FORM_KD) ?: $text);
        $plain = strtr((string) preg_replace('/\p{Mn}+/u', '', $plain), ['ø' => 'o', 'æ' => 'ae', 'ß' => 'ss', 'ł' => 'l', 'đ' => 'd']);

        return preg_split('/[^\p{L}\p{N}]+/u', $plain, flags: PREG_SPLIT_NO_EMPTY) ?: [];
    }

    public function isEmpty(): bool
    {
        return $this->words === [];
    }

    /** @return list<string> those that say what is looked for; all of them, if none does */
    public function telling(): array
    {
        $wanted = array_values(array_diff($this->words, self::EMPTY));

        return $wanted === [] ? $this->words : $wanted;
    }

    /**
     * How well a name is what was typed; 0: it is not. Every word that was typed has to begin one of its own, those that say
     * nothing aside.
     */
    public function score(string $name): int
    {
        $own = self::words($name);
        $wanted = $this->telling();
        if ($own === [] || $wanted === []) {
            return 0;
        }
        $whole = 0;
        foreach ($wanted as $word) {
            $begun = array_filter($own, static fn (string $one): bool => str_starts_with($one, $word) || (mb_strlen($one) > 3 && str_starts_with($word, $one) && mb_strlen($word) - mb_strlen($one) <= 3));
            if ($begun === []) {
                return 0;
            }
            $whole += in_array($word, $own, true) ? 1 : 0;
        }
        $said = implode(' ', $own);
        $typed = implode(' ', $this->words);

        return 10 + 10 * $whole + 2 * count(array_intersect(array_diff($this->words, $wanted), $own)) + match (true) {
            $said === $typed => 100,
            str_starts_with($said, $typed) => 50,
            default => max(0, 20 - 2 * count($own)),
        };
    }
}
