<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

/** A question with what is right, and what is said of each answer. */
final readonly class Question
{
    /**
     * @param  list<string>  $answers  to choose from; of a number the one that is right; of words all that are taken for right
     * @param  list<int>  $right  which of them, where they are chosen
     * @param  list<string>  $told  what is said of each, where they are chosen; otherwise of a right and of a wrong one; empty: nothing
     * @param  float  $within  how far from a number is right too
     */
    private function __construct(public string $ask, public QuestionKind $kind, public array $answers, public array $right, public array $told, public float $within)
    {
    }

    /** @param  array{ask: string, answers: list<string>, right: list<int>, kind?: string, told?: list<string>, within?: float|int}  $kept */
    public static function of(array $kept): self
    {
        return new self($kept['ask'], QuestionKind::tryFrom($kept['kind'] ?? '') ?? QuestionKind::Choice, $kept['answers'], $kept['right'], $kept['told'] ?? [], (float) ($kept['within'] ?? 0));
    }

    /** @param  list<int|string>  $given  those that were chosen, or what was typed */
    public function isRight(array $given): bool
    {
        return match ($this->kind) {
            QuestionKind::Choice => $this->isChosen($given),
            QuestionKind::Number => $this->isNumber((string) ($given[0] ?? '')),
            QuestionKind::Text => in_array(self::plain((string) ($given[0] ?? '')), array_map(self::plain(...), $this->answers), true) && self::plain((string) ($given[0] ?? '')) !== '',
        };
    }

    /**
     * Of what was chosen, what is said of it: never of an answer that was not.
     *
     * @param  list<int|string>  $given
     * @return list<string>
     */
    public function toldOf(array $given): array
    {
        $said = match (true) {
            $this->kind === QuestionKind::Choice => array_map(fn (int|string $one): string => $this->told[self::place($one)] ?? '', $given),
            $given === [] || $given === [''] => [],
            default => [$this->told[$this->isRight($given) ? 0 : 1] ?? ''],
        };

        return array_values(array_filter($said, static fn (string $one): bool => $one !== ''));
    }

    /** A number as people write it: with a comma or a point, and with spaces between thousands; null: it is none. */
    public static function number(string $typed): ?float
    {
        $number = str_replace(',', '.', (string) preg_replace('/[\s\x{00A0}\x{202F}]/u', '', $typed));

        return preg_match('/^[+−-]?\d+(?:\.\d+)?$/Du', $number) === 1 ? (float) str_replace('−', '-', $number) : null;
    }

    /** Forms without scripts send digits; whatever else is typed is no answer to choose. */
    private static function place(int|string $given): int
    {
        return is_int($given) ? $given : (ctype_digit($given) && strlen($given) < 4 ? (int) $given : -1);
    }

    /** @param  list<int|string>  $given */
    private function isChosen(array $given): bool
    {
        $chosen = array_values(array_unique(array_map(self::place(...), $given)));
        $right = $this->right;
        sort($chosen);
        sort($right);

        return $chosen === $right;
    }

    private function isNumber(string $typed): bool
    {
        [$given, $right] = [self::number($typed), self::number($this->answers[0] ?? '')];

        // A hair more: what is written in tenths is no such number inside.
        return $given !== null && $right !== null && abs($given - $right) <= $this->within + 1e-9 * max(1.0, abs($right));
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $text)));
    }
}
