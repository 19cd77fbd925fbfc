<?php

declare(strict_types=1);

namespace App\Learning\Quizzes;

use App\Models\GivenTry;
use App\Models\QuizTry;
use Illuminate\Support\Collection;

/** How often somebody has tried a quiz, and how often they may still. */
final readonly class Tried
{
    /**
     * @param  Collection<int, QuizTry>  $tries  in order
     * @param  int  $more  tries that they were given beside those of the rules
     * @param  bool  $atOnce  whether the next one is one of these
     */
    private function __construct(private QuizRules $rules, public Collection $tries, public int $more, private bool $atOnce)
    {
    }

    /** @param  ?int  $person  null: nobody who is known */
    public static function by(?int $person, int $course, string $item, QuizRules $rules): self
    {
        return self::byMany($person === null ? [] : [$person], $course, $item, $rules)[$person ?? 0] ?? new self($rules, new Collection, 0, atOnce: false);
    }

    /**
     * Two queries.
     *
     * @param  list<int>  $people
     * @return array<int, self> by person, for each of them
     */
    public static function byMany(array $people, int $course, string $item, QuizRules $rules): array
    {
        $tries = $people === [] ? new Collection : QuizTry::query()->whereIn('person_id', $people)->where('course_id', $course)->where('item_key', $item)->orderBy('id')->get()->toBase()->groupBy('person_id');
        $given = $people === [] ? new Collection : GivenTry::query()->whereIn('person_id', $people)->where('course_id', $course)->where('item_key', $item)->orderBy('id')->get()->toBase()->groupBy('person_id');
        $all = [];
        foreach ($people as $person) {
            $all[$person] = self::made($rules, $tries->get($person) ?? new Collection, $given->get($person) ?? new Collection);
        }

        return $all;
    }

    /**
     * All that somebody has tried. Two queries.
     *
     * @param  \Closure(int, string): QuizRules  $rules  of the quiz of a course and a key
     * @return list<self> the last tried first
     */
    public static function all(int $person, \Closure $rules): array
    {
        $of = static fn (QuizTry|GivenTry $one): string => "{$one->course_id} {$one->item_key}";
        $given = GivenTry::query()->where('person_id', $person)->orderBy('id')->get()->toBase()->groupBy($of);
        $all = [];
        foreach (QuizTry::query()->where('person_id', $person)->orderByDesc('id')->get()->toBase()->groupBy($of) as $quiz => $tries) {
            $last = $tries->firstOrFail();
            $all[] = self::made($rules($last->course_id, $last->item_key), $tries->reverse()->values(), $given->get($quiz) ?? new Collection);
        }

        return $all;
    }

    /**
     * @param  Collection<int, QuizTry>  $tries
     * @param  Collection<int, GivenTry>  $given
     */
    private static function made(QuizRules $rules, Collection $tries, Collection $given): self
    {
        return new self($rules, $tries, $given->count(), $given->last()?->tried === $tries->count());
    }

    /** From 0 to 1; of whoever has tried. */
    public function best(): float
    {
        return max([0.0, ...$this->tries->map(static fn (QuizTry $try): float => $try->score)->all()]);
    }

    /** So many there are in all; null: as many as they like. */
    public function allowed(): ?int
    {
        return $this->rules->tries === null ? null : $this->rules->tries + $this->more;
    }

    /** The first instant at which they may try it again; null: not any more. */
    public function next(): ?int
    {
        return $this->rules->nextTry($this->tries->count(), $this->tries->last()?->tried_at->getTimestamp(), $this->more, $this->atOnce);
    }

    /** Null: as many as they like. */
    public function left(): ?int
    {
        $allowed = $this->allowed();

        return $allowed === null ? null : max(0, $allowed - $this->tries->count());
    }
}
