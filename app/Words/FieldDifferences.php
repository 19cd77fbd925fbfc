<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\Document\DocumentAfter;
use App\Models\Document\DocumentCondition;
use App\Models\Document\DocumentCourse;
use App\Models\Document\DocumentDoor;
use App\Models\Document\DocumentFinish;
use App\Models\Document\DocumentLasts;
use App\Models\Document\KeyedFields;

/** What differs in the settings of one thing: the course, an item, an offer. */
final class FieldDifferences
{
    /** Of which there are words; of another its name is told. */
    private const FIELDS = ['title', 'kind', 'draft', 'sample', 'optional', 'tiers', 'only', 'guests', 'observers', 'never_for', 'after', 'in_order', 'when_closed', 'finish', 'display', 'state', 'entry', 'opens', 'closes', 'keep_after_retiring', 'sample_needs_account', 'guest_door', 'observer_door', 'main_plan', 'tier', 'plan', 'scope', 'lasts', 'labels'];

    /** What it means where nothing is set; of the others it is told that nothing is. */
    private const UNSET = ['draft', 'sample', 'optional', 'labels', 'in_order', 'tiers', 'only', 'guests', 'observers', 'when_closed', 'after', 'never_for', 'plan', 'scope', 'lasts'];

    private function __construct()
    {
    }

    /**
     * @param  string  $what  it is, with titles as {@see Sentence::title} marks them
     * @param  list<string>  $except
     * @param  \Closure(string): string  $title
     * @return list<Sentence>
     */
    public static function of(string $what, KeyedFields $before, KeyedFields $after, array $except, \Closure $title): array
    {
        $sentences = [];
        foreach (array_unique([...$before->members(), ...$after->members()]) as $key) {
            $was = $before->member($key);
            $is = $after->member($key);
            if (! in_array($key, $except, true) && json_encode($was) !== json_encode($is)) {
                $words = ['what' => $what, 'is' => self::value($key, $is, $title), 'was' => self::value($key, $was, $title)];
                $sentences[] = $key === 'tiers' && ! $before instanceof DocumentCourse
                    ? Sentence::say('wording.field_differences.now_for', $words)
                    : Sentence::say('wording.field_differences.now', [...$words, 'field' => in_array($key, self::FIELDS, true) ? Say::text("wording.fields.{$key}") : $key]);
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
            $key === 'main_plan' && $value === null => Say::text('wording.unset.labels'),
            $value === null => in_array($key, self::UNSET, true) ? Say::text("wording.unset.{$key}") : Say::text('wording.field_differences.not_set'),
            $key === 'tiers' && $value === [] => Say::text('wording.field_differences.no_pass'),
            $key === 'when_closed' => $value === 'hide' ? Say::text('wording.field_differences.hidden') : Say::text('wording.field_differences.title_shows'),
            is_bool($value) => Say::text($value ? 'wording.field_differences.yes' : 'wording.unset.draft'),
            $key === 'only' => RuleWords::condition(DocumentCondition::of($value), $title, $title),
            $key === 'after' && DocumentAfter::of($value) !== null => RuleWords::after(DocumentAfter::of($value), $title) ?? Say::text('wording.unset.after'),
            ($key === 'opens' || $key === 'closes') && is_string($value) => RuleWords::local($value),
            is_string($value) => $value,
            is_array($value) && $value === [] => Say::text('wording.unset.labels'),
            is_array($value) && array_filter($value, is_string(...)) === $value => RuleWords::enumeration(array_map($key === 'scope' ? $title : strval(...), array_values($value)), 'and'),
            default => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
        };
    }
}
