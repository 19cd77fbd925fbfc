<?php

declare(strict_types=1);

namespace App\Keep\Views;

use App\Http\Pages\Keep\AfterRule;
use App\Http\Pages\Keep\OpeningRule;
use App\Http\Pages\Keep\OutlineRow;
use App\Http\Pages\Keep\RuleCell;
use App\Http\Pages\Keep\RuleRow;
use App\Keep\CourseDocument;
use App\Keep\Words\RuleWords;

/** The Rules lens: what is set for each row, and what it inherits where nothing is set. */
final readonly class RuleTable
{
    /**
     * @param  CourseDocument  $document  the draft, or what is live where there is none
     * @param  ?CourseDocument  $live  to mark what is not published yet
     * @param  int  $year  which cells need not name
     */
    public function __construct(private CourseDocument $document, private ?CourseDocument $live, private ?string $plan, private int $year)
    {
    }

    /** @return list<OutlineRow> */
    public function outline(): array
    {
        $rows = [];
        foreach ($this->walk($this->document->course, 0, false) as [$item, , $depth, $draft]) {
            $rows[] = new OutlineRow(self::key($item), CourseDocument::titleOf($item), self::text($item, 'kind'), $depth, $draft);
        }

        return $rows;
    }

    /** @return list<RuleRow> */
    public function rows(): array
    {
        $title = fn (string $key): string => ($item = $this->document->item($key)) === null ? $key : CourseDocument::titleOf($item);
        $rows = [];
        foreach ($this->walk($this->document->course, 0, false) as [$item, $above, $depth]) {
            $before = $this->live?->item(self::key($item));
            $opening = $this->rule($this->document, $item, 'opens');
            $closing = $this->rule($this->document, $item, 'closes');
            $inherits = $depth === 0 ? 'at once' : 'with its '.self::text($above, 'kind');
            $turn = ($above->in_order ?? false) === true ? 'in its turn' : 'nothing';
            $inOrder = ($item->in_order ?? false) === true ? 'inside, in order' : null;
            $rows[] = new RuleRow(
                opens: $this->planCell(RuleWords::opening($opening, $this->year), $inherits, $item, 'opens'),
                opening: $opening === null ? null : self::opening($opening),
                closes: $this->planCell(RuleWords::closing($closing, $this->year), 'never', $item, 'closes'),
                closing: $closing === null ? null : self::opening($closing),
                after: self::cell(self::join(RuleWords::after(self::object($item, 'after'), $title), $inOrder), $turn, $item, $before, 'after', 'in_order'),
                afterRule: self::afterRule($item),
                forWhom: self::cell(self::forWhom($item, $title), 'every pass', $item, $before, 'tiers', 'only'),
                tiers: is_array($item->tiers ?? null) ? array_values(array_filter($item->tiers, is_string(...))) : null,
                sample: self::cell(self::yes($item->sample ?? null), 'no', $item, $before, 'sample'),
                guests: self::cell($this->audience($item, 'guests'), $this->inherited($item, 'guests', 'guest_door'), $item, $before, 'guests', 'never_for'),
                observers: self::cell($this->audience($item, 'observers'), $this->inherited($item, 'observers', 'observer_door'), $item, $before, 'observers', 'never_for'),
                whenClosed: self::cell(self::text($item, 'when_closed') === 'hide' ? 'hidden' : null, 'title shows', $item, $before, 'when_closed'),
            );
        }

        return $rows;
    }

    /** @return \Generator<int, array{\stdClass, \stdClass, int, bool}> item, what it stands in, depth, whether it is a draft */
    private function walk(\stdClass $container, int $depth, bool $draft): \Generator
    {
        foreach (is_array($container->items ?? null) ? $container->items : [] as $item) {
            if ($item instanceof \stdClass) {
                $isDraft = $draft || ($item->draft ?? false) === true;
                yield [$item, $container, $depth, $isDraft];
                foreach ($this->walk($item, $depth + 1, $isDraft) as $inside) {
                    yield $inside;
                }
            }
        }
    }

    private function rule(?CourseDocument $document, \stdClass $item, string $key): ?\stdClass
    {
        $plan = $this->plan === null ? null : ($document?->course->plans ?? null)->{$this->plan} ?? null;
        $entry = $plan instanceof \stdClass ? $plan->{self::key($item)} ?? null : null;

        return $entry instanceof \stdClass ? self::object($entry, $key) : null;
    }

    private function planCell(?string $own, string $otherwise, \stdClass $item, string $key): RuleCell
    {
        $edited = $this->live !== null && json_encode($this->rule($this->document, $item, $key)) !== json_encode($this->rule($this->live, $item, $key));

        return new RuleCell($own ?? $otherwise, $own !== null, $edited);
    }

    private static function cell(?string $own, string $otherwise, \stdClass $item, ?\stdClass $before, string ...$keys): RuleCell
    {
        $edited = false;
        foreach ($before === null ? [] : $keys as $key) {
            $edited = $edited || json_encode($item->{$key} ?? null) !== json_encode($before->{$key} ?? null);
        }

        return new RuleCell($own ?? $otherwise, $own !== null, $edited);
    }

    /** @param  \Closure(string): string  $title */
    private static function forWhom(\stdClass $item, \Closure $title): ?string
    {
        $tiers = $item->tiers ?? null;
        $only = $item->only ?? null;

        return self::join(
            is_array($tiers) ? ($tiers === [] ? 'no pass' : RuleWords::enumeration(array_values(array_filter($tiers, is_string(...))), 'or')) : null,
            $only === null ? null : RuleWords::condition($only, $title),
        );
    }

    private function audience(\stdClass $item, string $audience): ?string
    {
        $never = $item->never_for ?? null;

        return is_array($never) && in_array($audience, $never, true) ? 'never' : self::yes($item->{$audience} ?? null);
    }

    /** What an item that says nothing takes over from what it stands in, or from the door. */
    private function inherited(\stdClass $item, string $audience, string $door): string
    {
        $inherited = self::yes(self::object($this->document->course, $door)->default ?? false) ?? 'no';
        foreach ($this->pathTo($this->document->course, $item) as $above) {
            $own = $this->audience($above, $audience);
            if ($inherited !== 'never' && $own !== null) {
                $inherited = $own;
            }
        }

        return $inherited;
    }

    /** @return list<\stdClass> what stands above the item, from the top */
    private function pathTo(\stdClass $container, \stdClass $item): array
    {
        $path = [];
        $depth = 0;
        foreach ($this->walk($container, 0, false) as [$one, , $depth]) {
            $path = array_slice($path, 0, $depth);
            if ($one === $item) {
                return $path;
            }
            $path[] = $one;
        }

        return [];
    }

    private static function opening(\stdClass $rule): OpeningRule
    {
        $text = static fn (string $key): ?string => is_string($rule->{$key} ?? null) ? $rule->{$key} : null;
        $number = static fn (string $key): ?int => is_int($rule->{$key} ?? null) ? $rule->{$key} : null;

        return new OpeningRule($text('rule') ?? 'at_once', $text('at'), $number('days'), $text('time'), $number('weekday'));
    }

    private static function afterRule(\stdClass $item): AfterRule
    {
        $after = self::object($item, 'after') ?? new \stdClass;
        $mode = match (true) {
            isset($after->any) => 'any',
            isset($after->of) => 'at_least',
            default => 'all',
        };
        $of = $mode === 'at_least' ? $after->of : $after->{$mode} ?? [];

        return new AfterRule(
            $mode,
            array_values(array_filter(is_array($of) ? $of : [], is_string(...))),
            is_int($after->at_least ?? null) ? $after->at_least : null,
            ($item->in_order ?? false) === true,
        );
    }

    private static function join(?string ...$parts): ?string
    {
        $parts = array_filter($parts, static fn (?string $part): bool => $part !== null);

        return $parts === [] ? null : implode(' · ', $parts);
    }

    private static function yes(mixed $value): ?string
    {
        return is_bool($value) ? ($value ? 'yes' : 'no') : null;
    }

    private static function object(\stdClass $from, string $key): ?\stdClass
    {
        $value = $from->{$key} ?? null;

        return $value instanceof \stdClass ? $value : null;
    }

    private static function key(\stdClass $item): string
    {
        return self::text($item, 'key');
    }

    private static function text(\stdClass $item, string $key): string
    {
        $value = $item->{$key} ?? '';

        return is_string($value) ? $value : '';
    }
}
