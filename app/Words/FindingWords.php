<?php

declare(strict_types=1);

namespace App\Words;

use Closure;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Outline\Course;

/** What a check has found, in a sentence, and why it matters, in another. */
final readonly class FindingWords
{
    /** Titles that are named; more than that are counted. */
    private const NAMED = 3;

    /**
     * @param  Course  $course  with the titles by which it is known
     * @param  Closure(int): string  $when  an instant in words
     */
    public function __construct(private Course $course, private Closure $when)
    {
    }

    public function what(Finding $finding): Sentence
    {
        $facts = $finding->facts;
        $items = array_map($this->titleOf(...), $finding->items);
        $offers = array_map($this->offerOf(...), $finding->offers);
        $about = array_map($this->titleOf(...), $finding->about);
        $audience = $finding->about[0] ?? '';

        return Sentence::of(Say::text("checks.found.{$finding->kind->value}", [
            'items' => self::named($items),
            'count' => count($items),
            'first' => self::named(array_slice($items, 0, 1)),
            'second' => self::named(array_slice($items, 1, 1)),
            'offers' => self::named($offers),
            'offer' => self::named(array_slice($offers, 0, 1)),
            'sold' => count($offers),
            'about' => self::named($about),
            'others' => count($about),
            'audience' => $audience,
            'audiences' => $finding->kind === CheckKind::NoMainPlan ? RuleWords::enumeration(array_map(static fn (string $one): string => Say::text("checks.audiences.{$one}"), $finding->about), 'and') : '',
            'opens' => $this->when($facts, 'opens'),
            'closes' => $this->when($facts, 'closes'),
            'ends' => $this->when($facts, 'ends'),
            'lessons' => $facts['lessons'] ?? 0,
            'of' => $facts['of'] ?? 0,
            'minutes' => ($facts['of_minutes'] ?? 0) > 0 ? Say::text('checks.minutes', ['minutes' => $facts['minutes'] ?? 0, 'of' => $facts['of_minutes']]) : '',
            'share' => (int) round(100 * ($facts['share'] ?? 0)),
        ]));
    }

    public function why(Finding $finding): string
    {
        return Say::text("checks.why.{$finding->kind->value}");
    }

    /** @param  array<string, int|float>  $facts */
    private function when(array $facts, string $fact): string
    {
        return isset($facts[$fact]) ? ($this->when)((int) $facts[$fact]) : '';
    }

    /** @param  list<string>  $titles */
    private static function named(array $titles): string
    {
        $named = array_map(Sentence::title(...), count($titles) > self::NAMED + 1 ? array_slice($titles, 0, self::NAMED) : $titles);
        if (count($named) < count($titles)) {
            $named[] = Say::text('checks.more', ['count' => count($titles) - count($named)]);
        }

        return RuleWords::enumeration($named, 'and');
    }

    private function titleOf(string $key): string
    {
        $position = $this->course->outline->positionOf($key);

        return $position === null ? $key : $this->course->outline->items[$position]->title ?? $key;
    }

    private function offerOf(string $key): string
    {
        foreach ($this->course->offers as $offer) {
            if ($offer->key === $key) {
                return $offer->title ?? $key;
            }
        }

        return $key;
    }
}
