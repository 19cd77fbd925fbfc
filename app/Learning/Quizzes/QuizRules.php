<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use App\Database\Value;

/** How often a quiz may be tried, in what order it asks, and what its results are called. */
final readonly class QuizRules
{
    /**
     * @param  ?int  $tries  so many at most; null: as many as one likes
     * @param  int  $wait  minutes from one to the next
     * @param  bool  $shuffle  whether each try asks in an order of its own
     * @param  list<array{from: int, name: string, words: string}>  $bands  by per cent, the lowest first
     */
    private function __construct(public ?int $tries, public int $wait, public bool $shuffle, public array $bands)
    {
    }

    /** @param  ?array<string, mixed>  $kept  as {@see \App\Models\Content} has it */
    public static function of(?array $kept): self
    {
        $bands = array_map(static fn (mixed $band): array => ['from' => Value::int(((array) $band)['from'] ?? 0), 'name' => Value::text(((array) $band)['name'] ?? ''), 'words' => Value::text(((array) $band)['words'] ?? '')], array_values((array) ($kept['bands'] ?? [])));
        usort($bands, static fn (array $a, array $b): int => $a['from'] <=> $b['from']);
        $tries = $kept['tries'] ?? null;

        return new self(is_int($tries) ? $tries : null, Value::int($kept['wait'] ?? 0), ($kept['shuffle'] ?? false) === true, $bands);
    }

    /** @return ?array{from: int, name: string, words: string} the highest that was reached; null: none was */
    public function bandOf(int $percent): ?array
    {
        $reached = array_filter($this->bands, static fn (array $band): bool => $band['from'] <= $percent);

        return $reached === [] ? null : end($reached);
    }

    /**
     * The first instant at which it may be tried again; null: not any more.
     *
     * @param  int  $tried  so often it was
     * @param  ?int  $last  when; null: never
     * @param  int  $more  tries that somebody was given beside these
     * @param  bool  $atOnce  whether the next one is such a try: it is not waited for
     */
    public function nextTry(int $tried, ?int $last, int $more = 0, bool $atOnce = false): ?int
    {
        return match (true) {
            $this->tries !== null && $tried >= $this->tries + $more => null,
            $last === null => 0,
            $atOnce => $last,
            default => $last + $this->wait * 60,
        };
    }

    /** Whether anybody could want another try: as often as one likes and at once needs none. */
    public function limits(): bool
    {
        return $this->tries !== null || $this->wait > 0;
    }

    /**
     * What comes to a band, by its name.
     *
     * @return ?array{int, int} from how many per cent, below how many (101: all of it); null: there is none of that name
     */
    public function reach(string $name): ?array
    {
        foreach ($this->bands as $place => $band) {
            if ($band['name'] === $name) {
                return [$band['from'], $this->bands[$place + 1]['from'] ?? 101];
            }
        }

        return null;
    }

    /**
     * In which order somebody's next try asks: the same until they have tried.
     *
     * @return list<int> the questions by their places
     */
    public function order(int $questions, string $of): array
    {
        $places = range(0, max(0, $questions - 1));
        if ($questions > 1 && $this->shuffle) {
            usort($places, static fn (int $a, int $b): int => strcmp(hash('xxh128', "{$of}/{$a}"), hash('xxh128', "{$of}/{$b}")));
        }

        return $questions === 0 ? [] : $places;
    }
}
