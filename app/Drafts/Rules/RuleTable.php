<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Access\OutlineRow;
use App\Models\CourseDocument;
use App\Words\RuleWords;

/** The Rules lens: what is set for each row, and what it inherits where nothing is set. */
final readonly class RuleTable
{
    /**
     * @param  CourseDocument  $document  the draft, or what is live where there is none
     * @param  ?CourseDocument  $live  to mark what is not published yet
     * @param  int  $year  which cells need not name
     * @param  bool  $schoolGuests  whether the school lets guests in at all
     */
    public function __construct(private CourseDocument $document, private ?CourseDocument $live, private ?string $plan, private int $year, private bool $schoolGuests)
    {
    }

    /** @return list<OutlineRow> */
    public function outline(): array
    {
        $rows = [];
        foreach ($this->walk($this->document->course, [], false) as [$item, , $depth, $draft]) {
            $rows[] = new OutlineRow(self::key($item), CourseDocument::titleOf($item), self::text($item, 'kind'), $depth, $draft);
        }

        return $rows;
    }

    /** @return list<?OpeningRule> what opens each row in a release plan, where anything is set */
    public function openings(string $plan): array
    {
        $entries = ($this->document->course->plans ?? null)->{$plan} ?? null;
        $openings = [];
        foreach ($this->document->items() as $item) {
            $entry = $entries instanceof \stdClass ? $entries->{self::key($item)} ?? null : null;
            $opening = $entry instanceof \stdClass ? self::object($entry, 'opens') : null;
            $openings[] = $opening === null ? null : self::opening($opening);
        }

        return $openings;
    }

    /** @return list<RuleRow> */
    public function rows(): array
    {
        $titles = array_map(CourseDocument::titleOf(...), self::byKey($this->document));
        $title = static fn (string $key): string => $titles[$key] ?? $key;
        $offers = array_map(CourseDocument::titleOf(...), array_column($this->document->offers, null, 'key'));
        $offer = static fn (string $key): string => $offers[$key] ?? $key;
        $published = $this->live === null ? [] : self::byKey($this->live);
        $vain = new IneffectiveValues($this->document, $this->plan, $this->schoolGuests);
        $rows = [];
        foreach ($this->walk($this->document->course, [], false) as [$item, $above, $depth, , $path]) {
            $before = $published[self::key($item)] ?? null;
            $opening = $this->rule($this->document, $item, 'opens');
            $closing = $this->rule($this->document, $item, 'closes');
            $inherits = $depth === 0 ? 'at once' : 'with its '.self::text($above, 'kind');
            $turn = ($above->in_order ?? false) === true ? 'in its turn' : 'nothing';
            $inOrder = ($item->in_order ?? false) === true ? 'inside, in order' : null;
            $rows[] = new RuleRow(
                opens: self::vain($this->planCell(RuleWords::opening($opening, $this->year), $inherits, $item, 'opens'), $vain->time()),
                opening: $opening === null ? null : self::opening($opening),
                closes: self::vain($this->planCell(RuleWords::closing($closing, $this->year), 'never', $item, 'closes'), $vain->time()),
                closing: $closing === null ? null : self::opening($closing),
                after: self::vain(self::cell(self::join(RuleWords::after(self::object($item, 'after'), $title), $inOrder), $turn, $item, $before, 'after', 'in_order'), $vain->order($item)),
                afterRule: self::afterRule($item),
                afterWords: RuleWords::after(self::object($item, 'after'), $title),
                turn: ($above->in_order ?? false) === true ? true : null,
                forWhom: self::cell(self::forWhom($item, $title, $offer), 'every pass', $item, $before, 'tiers', 'only'),
                tiers: is_array($item->tiers ?? null) ? array_values(array_filter($item->tiers, is_string(...))) : null,
                only: self::object($item, 'only'),
                onlyWords: isset($item->only) ? RuleWords::condition($item->only, $title, $offer) : null,
                sample: self::vain(self::cell(self::yes($item->sample ?? null), 'no', $item, $before, 'sample'), $vain->sample($item, $path)),
                guests: self::vain(self::cell($this->audience($item, 'guests'), $this->inherited($path, 'guests', 'guest_door'), $item, $before, 'guests', 'never_for'), $vain->guests($item)),
                observers: self::vain(self::cell($this->audience($item, 'observers'), $this->inherited($path, 'observers', 'observer_door'), $item, $before, 'observers', 'never_for'), $vain->observers($item)),
                whenClosed: self::cell(self::text($item, 'when_closed') === 'hide' ? 'hidden' : null, 'title shows', $item, $before, 'when_closed'),
                finish: self::finish($item, $before),
            );
        }

        return $rows;
    }

    /**
     * @param  list<\stdClass>  $path  the items above, from the top
     * @return \Generator<int, array{\stdClass, \stdClass, int, bool, list<\stdClass>}> item, what it stands in, depth, whether it is a draft, the items above it
     */
    private function walk(\stdClass $container, array $path, bool $draft): \Generator
    {
        foreach (is_array($container->items ?? null) ? $container->items : [] as $item) {
            if ($item instanceof \stdClass) {
                $isDraft = $draft || ($item->draft ?? false) === true;
                yield [$item, $container, count($path), $isDraft, $path];
                foreach ($this->walk($item, [...$path, $item], $isDraft) as $inside) {
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

    private static function finish(\stdClass $item, ?\stdClass $before): ?FinishRule
    {
        if (! in_array(self::text($item, 'kind'), ['lesson', 'part'], true)) {
            return null;
        }
        $finish = self::object($item, 'finish');
        $share = $finish->share ?? $finish->score ?? null;

        return new FinishRule(
            $finish === null ? 'mark' : self::text($finish, 'by'),
            is_int($share) || is_float($share) ? round($share * 100, 1) : null,
            RuleWords::finish($finish),
            $before !== null && json_encode($item->finish ?? null) !== json_encode($before->finish ?? null),
        );
    }

    /**
     * @param  \Closure(string): string  $title  of an item
     * @param  \Closure(string): string  $offer  title of an offer
     */
    private static function forWhom(\stdClass $item, \Closure $title, \Closure $offer): ?string
    {
        $tiers = $item->tiers ?? null;
        $only = $item->only ?? null;

        return self::join(
            is_array($tiers) ? ($tiers === [] ? 'no pass' : RuleWords::enumeration(array_values(array_filter($tiers, is_string(...))), 'or')) : null,
            $only === null ? null : RuleWords::condition($only, $title, $offer),
        );
    }

    private function audience(\stdClass $item, string $audience): ?string
    {
        $never = $item->never_for ?? null;

        return is_array($never) && in_array($audience, $never, true) ? 'never' : self::yes($item->{$audience} ?? null);
    }

    /**
     * What an item that says nothing takes over from what it stands in, or from the door.
     *
     * @param  list<\stdClass>  $path  the items above, from the top
     */
    private function inherited(array $path, string $audience, string $door): string
    {
        $inherited = self::yes(self::object($this->document->course, $door)->default ?? false) ?? 'no';
        foreach ($path as $above) {
            $own = $this->audience($above, $audience);
            if ($inherited !== 'never' && $own !== null) {
                $inherited = $own;
            }
        }

        return $inherited;
    }

    private static function opening(\stdClass $rule): OpeningRule
    {
        $text = static fn (string $key): ?string => is_string($rule->{$key} ?? null) ? $rule->{$key} : null;
        $number = static fn (string $key): ?int => is_int($rule->{$key} ?? null) ? $rule->{$key} : null;

        return new OpeningRule($text('rule') ?? 'at_once', $text('at'), $number('days'), $text('time'), $number('weekday'));
    }

    /** @return array<array-key, \stdClass> */
    private static function byKey(CourseDocument $document): array
    {
        $items = [];
        foreach ($document->items() as $item) {
            $items[self::key($item)] = $item;
        }

        return $items;
    }

    /** A value of its own that does nothing says why. */
    private static function vain(RuleCell $cell, ?string $reason): RuleCell
    {
        return $cell->own && $reason !== null ? new RuleCell($cell->words, true, $cell->edited, $reason) : $cell;
    }

    /** Null where nothing is set. */
    private static function afterRule(\stdClass $item): ?AfterRule
    {
        if (! isset($item->after) && ($item->in_order ?? false) !== true) {
            return null;
        }
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
