<?php

declare(strict_types=1);

namespace App\Words;

use App\Models\Document\DocumentAfter;
use App\Models\Document\DocumentCondition;
use App\Models\Document\DocumentDoor;
use App\Models\Document\DocumentFinish;
use App\Models\Document\DocumentLasts;
use App\Models\Document\DocumentTime;
use SilentKeep\Core\Rules\OpeningKind;

/** Rules of a course document in plain words. The one place that phrases them, for cells, sentences and history. */
final class RuleWords
{
    private const WEEKDAYS = [1 => 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

    private function __construct()
    {
    }

    /**
     * "7 days after joining, 09:00"; null where nothing is set.
     *
     * @param  ?int  $year  to be left out of dates; null in sentences that may be read in another year
     */
    public static function opening(?DocumentTime $rule, ?int $year = null): ?string
    {
        $kind = OpeningKind::tryFrom($rule?->rule() ?? '');
        $takes = $kind?->takes() ?? [];

        return match (true) {
            $rule === null, $kind === null => null,
            in_array('days', $takes, true) => self::delay($rule, Say::text("rules.opens.{$kind->value}.after"), Say::text("rules.opens.{$kind->value}.same")),
            in_array('at', $takes, true) => Say::text("rules.opens.{$kind->value}.words", ['at' => self::local($rule->at(), $year)]),
            default => Say::text("rules.opens.{$kind->value}.words"),
        };
    }

    /** @param  ?int  $year  to be left out of dates */
    public static function closing(?DocumentTime $rule, ?int $year = null): ?string
    {
        return match ($rule?->rule()) {
            'on' => self::local($rule->at(), $year),
            'after_open' => Say::text('wording.rule_words.days_after_opening', ['days' => self::days($rule->days() ?? 0)]),
            default => null,
        };
    }

    /** @param  \Closure(string): string  $title  of an item */
    public static function after(?DocumentAfter $after, \Closure $title): ?string
    {
        if ($after === null || $after->items() === []) {
            return null;
        }
        $titles = array_map($title, $after->items());

        return match ($after->mode()) {
            'all' => self::enumeration($titles, 'and'),
            'any' => self::enumeration($titles, 'or'),
            'at_least' => Say::text('wording.rule_words.any_at_least_list', ['at_least' => $after->atLeast() ?? 1, 'list' => self::enumeration($titles, 'and')]),
        };
    }

    /** How a lesson or part is finished. */
    public static function finish(?DocumentFinish $finish): string
    {
        $percent = static fn (float $share): string => round($share * 100, 1).' %';

        return match ($finish?->by()) {
            'visit' => Say::text('wording.rule_words.by_the_first_visit'),
            'watch' => Say::text('wording.rule_words.by_watching_percent_its', ['percent' => $percent($finish->needed() ?? 1.0)]),
            'quiz' => Say::text('wording.rule_words.by_quiz_from_percent', ['percent' => $percent($finish->needed() ?? 0.0)]),
            default => Say::text('wording.rule_words.by_its_learners_mark'),
        };
    }

    /** Of the guest door or the observer door. */
    public static function door(DocumentDoor $door): string
    {
        return match (true) {
            ! $door->open => 'shut',
            $door->default => 'open',
            default => Say::text('wording.rule_words.open_only_where_marked'),
        }.(! $door->follow ? Say::text('wording.rule_words.not_bound_what_learner') : '');
    }

    /** How long a pass lasts. */
    public static function lasts(?DocumentLasts $lasts): string
    {
        return match (true) {
            $lasts?->days() !== null => self::days($lasts->days()),
            $lasts?->until() !== null => Say::text('wording.rule_words.until_local', ['local' => self::local($lasts->until())]),
            default => Say::text('wording.rule_words.for_good'),
        };
    }

    /**
     * @param  \Closure(string): string  $title  of an item
     * @param  (\Closure(string): string)|null  $offer  title of an offer; null: its key
     */
    public static function condition(?DocumentCondition $only, \Closure $title, ?\Closure $offer = null, bool $inner = false): string
    {
        if ($only === null) {
            return 'everyone';
        }
        $text = $only->value();
        $parts = array_map(static fn (?DocumentCondition $part): string => self::condition($part, $title, $offer, inner: true), $only->parts());
        $joined = static fn (string $word): string => $inner && count($parts) > 1 ? '('.implode(" {$word} ", $parts).')' : implode(" {$word} ", $parts);

        return match ($only->asks()) {
            'all' => $parts === [] ? 'everyone' : $joined('and'),
            'any' => $parts === [] ? 'nobody' : $joined('or'),
            'not' => Say::text('wording.rule_words.not_list', ['list' => implode($parts)]),
            'label' => Say::text('wording.rule_words.label_text', ['text' => $text === '' ? '…' : $text]),
            'tier' => Say::text('wording.rule_words.tier_text', ['text' => $text]),
            'offer' => Say::text('wording.rule_words.by_offer_text', ['text' => $offer === null ? $text : $offer($text)]),
            'kind' => $text === 'staff' ? Say::text('wording.rule_words.staff_only') : Say::text('wording.rule_words.text_s_only', ['text' => $text]),
            'done' => Say::text('wording.rule_words.who_finished_title', ['title' => $title($text)]),
            'from' => Say::text('wording.rule_words.from_local', ['local' => self::local($text)]),
            'until' => Say::text('wording.rule_words.until_local', ['local' => self::local($text)]),
            default => 'everyone',
        };
    }

    /**
     * A wall-clock time of the plan format as `Mon 9 Mar 2026, 09:00`.
     *
     * @param  ?int  $year  to be left out
     */
    public static function local(mixed $local, ?int $year = null): string
    {
        $time = is_string($local) ? \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $local, new \DateTimeZone('UTC')) : false;

        return $time === false ? '' : Formats::instant($time, $year);
    }

    /** @param  list<string>  $parts */
    public static function enumeration(array $parts, string $last): string
    {
        $end = array_pop($parts);

        return $parts === [] ? (string) $end : implode(', ', $parts)." {$last} {$end}";
    }

    private static function delay(DocumentTime $rule, string $after, string $same): string
    {
        $days = $rule->days() ?? 0;
        $words = $days === 0 ? $same : self::days($days).' '.$after;
        $weekday = $rule->weekday() ?? 0;
        $time = $rule->time();

        return $words.($weekday === 0 ? '' : Say::text('wording.rule_words.next_what', ['what' => self::WEEKDAYS[$weekday] ?? ''])).($time === null ? '' : ', '.$time);
    }

    private static function days(int $days): string
    {
        return $days === 1 ? '1 day' : Say::text('wording.rule_words.days_days', ['days' => $days]);
    }
}
