<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\Document\DocumentAfter;
use App\Models\Document\DocumentCondition;
use App\Models\Document\DocumentDoor;
use App\Models\Document\DocumentFinish;
use App\Models\Document\DocumentLasts;
use App\Models\Document\KeyedFields;

/** What differs in the settings of one thing: the course, an item, an offer. */
final class FieldDifferences
{
    private const WORDS = [
        'title' => 'title', 'kind' => 'kind', 'draft' => 'draft', 'sample' => 'sample', 'optional' => 'optional', 'tiers' => 'for which passes', 'only' => 'for whom',
        'guests' => 'guests', 'observers' => 'observers', 'never_for' => 'never for', 'after' => 'what comes first', 'in_order' => 'in order',
        'when_closed' => 'when closed', 'finish' => 'how it is finished', 'display' => 'display', 'state' => 'state', 'entry' => 'who gets in',
        'opens' => 'beginning of the season', 'closes' => 'end of the season', 'keep_after_retiring' => 'kept after retiring',
        'sample_needs_account' => 'samples need an account', 'guest_door' => 'guest door', 'observer_door' => 'observer door', 'main_plan' => 'main plan',
        'tier' => 'tier', 'plan' => 'pace', 'scope' => 'scope', 'lasts' => 'how long a pass lasts', 'labels' => 'labels that it gives',
    ];

    /** What it means where nothing is set. */
    private const UNSET = [
        'draft' => 'no', 'sample' => 'no', 'optional' => 'no', 'labels' => 'none', 'in_order' => 'no', 'tiers' => 'every pass', 'only' => 'everyone', 'guests' => 'as above', 'observers' => 'as above',
        'when_closed' => 'title shows', 'after' => 'nothing', 'never_for' => 'nobody', 'plan' => 'all at once', 'scope' => 'the whole course', 'lasts' => 'for good',
    ];

    private function __construct()
    {
    }

    /**
     * @param  list<string>  $except
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    public static function of(string $what, KeyedFields $before, KeyedFields $after, array $except, \Closure $title, string $name = ''): array
    {
        $sentences = [];
        foreach (array_unique([...$before->members(), ...$after->members()]) as $key) {
            $was = $before->member($key);
            $is = $after->member($key);
            if (! in_array($key, $except, true) && json_encode($was) !== json_encode($is)) {
                $word = self::WORDS[$key] ?? $key;
                $sentences[] = $key === 'tiers' && $what !== 'The course'
                    ? Sentence::of("{$what} is now for ".self::value($key, $is, $title).' (was: '.self::value($key, $was, $title).')', $name)
                    : Sentence::of("{$what}: {$word} is now ".self::value($key, $is, $title).' (was: '.self::value($key, $was, $title).')', $name);
            }
        }

        return $sentences;
    }

    /** @param  \Closure(string): string  $title */
    private static function value(string $key, mixed $value, \Closure $title): string
    {
        return match (true) {
            $key === 'finish' => RuleWords::finish(DocumentFinish::of($value)),
            $key === 'guest_door' || $key === 'observer_door' => RuleWords::door(DocumentDoor::of($value)),
            $key === 'lasts' => RuleWords::lasts(DocumentLasts::of($value)),
            $key === 'main_plan' && $value === null => 'none',
            $value === null => self::UNSET[$key] ?? 'not set',
            $key === 'tiers' && $value === [] => 'no pass',
            $key === 'when_closed' => $value === 'hide' ? 'hidden' : 'title shows',
            is_bool($value) => $value ? 'yes' : 'no',
            $key === 'only' => RuleWords::condition(DocumentCondition::of($value), $title, $title),
            $key === 'after' && DocumentAfter::of($value) !== null => RuleWords::after(DocumentAfter::of($value), $title) ?? 'nothing',
            ($key === 'opens' || $key === 'closes') && is_string($value) => RuleWords::local($value),
            is_string($value) => $value,
            is_array($value) && $value === [] => 'none',
            is_array($value) && array_filter($value, is_string(...)) === $value => RuleWords::enumeration(array_map($key === 'scope' ? $title : strval(...), array_values($value)), 'and'),
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };
    }
}
