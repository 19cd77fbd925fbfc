<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Access\Shelf\OutlineRow;
use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentTime;
use App\Words\RuleWords;
use App\Words\Say;
use SilentKeep\Core\Deciding\Samples;

/** The Rules lens: what is set for each row, and what it inherits where nothing is set. */
final readonly class RuleTable
{
    /**
     * @param  CourseDocument  $document  the draft, or what is live where there is none
     * @param  ?CourseDocument  $live  to mark what is not published yet
     * @param  int  $year  which cells need not name
     * @param  bool  $schoolGuests  whether the school lets guests in at all
     * @param  \Closure(): Samples  $samples  of these rules, where they are asked for
     */
    public function __construct(private CourseDocument $document, private ?CourseDocument $live, private ?string $plan, private int $year, private bool $schoolGuests, private \Closure $samples)
    {
    }

    /** @return list<OutlineRow> */
    public function outline(): array
    {
        $rows = [];
        $found = new FoundBy($this->document, $this->plan, $this->year);
        foreach ($this->document->read()->places() as $place) {
            $rows[] = new OutlineRow($place->item->key(), $place->item->title(), $place->item->kind(), $place->depth(), $place->isDraft, $found->words($place->item));
        }

        return $rows;
    }

    /** @return list<?OpeningRule> what opens each row in a release plan, where anything is set */
    public function openings(string $plan): array
    {
        $course = $this->document->read();
        $openings = [];
        foreach ($course->places() as $place) {
            $opening = $course->time($plan, $place->item->key(), 'opens');
            $openings[] = $opening === null ? null : OpeningRule::of($opening);
        }

        return $openings;
    }

    /** @return list<RuleRow> */
    public function rows(): array
    {
        $items = $this->document->readItems();
        $title = static fn (string $key): string => isset($items[$key]) ? $items[$key]->title() : $key;
        $offer = $this->offerTitles();
        $published = $this->live?->readItems() ?? [];
        $vain = new IneffectiveValues($this->document, $this->plan, $this->schoolGuests, $this->samples);
        $waiting = new WaitingOnLabels($this->document);
        $rows = [];
        foreach ($this->document->read()->places() as $position => $place) {
            [$item, $path] = [$place->item, $place->path];
            $before = $published[$item->key()] ?? null;
            $opening = $this->document->read()->time($this->plan, $item->key(), 'opens');
            $closing = $this->document->read()->time($this->plan, $item->key(), 'closes');
            $inherits = $path === [] ? Say::text('drafts.rule_table.at_once') : Say::text('drafts.rule_table.with_its_kind', ['kind' => $path[count($path) - 1]->kind()]);
            $rows[] = new RuleRow(
                opens: self::vain($this->planCell(RuleWords::opening($opening, $this->year), $inherits, $item, 'opens'), $vain->time()),
                opening: $opening === null ? null : OpeningRule::of($opening),
                closes: self::vain($this->planCell(RuleWords::closing($closing, $this->year), 'never', $item, 'closes'), $vain->time()),
                closing: $closing === null ? null : OpeningRule::of($closing),
                after: self::vain(self::cell(self::join(RuleWords::after($item->after(), $title), $item->inOrder() ? Say::text('drafts.rule_table.inside_in_order') : null), $place->inOrder ? Say::text('drafts.rule_table.in_its_turn') : 'nothing', $item, $before, 'after', 'in_order'), $vain->order($item)),
                afterRule: self::afterRule($item),
                afterWords: RuleWords::after($item->after(), $title),
                turn: $place->inOrder ? true : null,
                forWhom: self::cell(self::forWhom($item, $title, $offer), Say::text('drafts.rule_table.every_pass'), $item, $before, 'tiers', 'only'),
                tiers: $item->tiers(),
                only: $item->only(),
                onlyWords: $item->only() === null ? null : RuleWords::condition($item->only(), $title, $offer),
                optional: self::vain(self::cell(self::yes($item->optional()), 'no', $item, $before, 'optional'), $vain->optional($item)),
                holdsUp: $waiting->heldUpBy($place),
                sample: self::vain(self::cell(self::yes($item->sample()), 'no', $item, $before, 'sample'), $vain->sample($item, $path, $position)),
                guests: self::vain(self::cell(self::audience($item, 'guests'), $this->inherited($path, 'guests'), $item, $before, 'guests', 'never_for'), $vain->guests($item)),
                observers: self::vain(self::cell(self::audience($item, 'observers'), $this->inherited($path, 'observers'), $item, $before, 'observers', 'never_for'), $vain->observers($item)),
                whenClosed: self::cell($item->hidesWhenClosed() ? 'hidden' : null, Say::text('drafts.rule_table.title_shows'), $item, $before, 'when_closed'),
                finish: self::finish($item, $before),
            );
        }

        return $rows;
    }

    /** @return \Closure(string): string the title of an offer, by its key */
    private function offerTitles(): \Closure
    {
        $titles = [];
        foreach ($this->document->readOffers() as $offer) {
            $titles[$offer->key()] = $offer->title();
        }

        return static fn (string $key): string => $titles[$key] ?? $key;
    }

    /** @param  'opens'|'closes'  $when */
    private function planCell(?string $own, string $otherwise, DocumentItem $item, string $when): RuleCell
    {
        $edited = $this->live !== null && ! DocumentTime::same($this->document->read()->time($this->plan, $item->key(), $when), $this->live->read()->time($this->plan, $item->key(), $when));

        return new RuleCell($own ?? $otherwise, $own !== null, $edited);
    }

    private static function cell(?string $own, string $otherwise, DocumentItem $item, ?DocumentItem $before, string ...$keys): RuleCell
    {
        return new RuleCell($own ?? $otherwise, $own !== null, $item->differsIn($before, ...$keys));
    }

    private static function finish(DocumentItem $item, ?DocumentItem $before): ?FinishRule
    {
        if (! in_array($item->kind(), ['lesson', 'part'], true)) {
            return null;
        }
        $finish = $item->finish();
        $needed = $finish?->needed();

        return new FinishRule(
            $finish?->by() ?? 'mark',
            $needed === null ? null : round($needed * 100, 1),
            RuleWords::finish($finish),
            $item->differsIn($before, 'finish'),
        );
    }

    /**
     * @param  \Closure(string): string  $title  of an item
     * @param  \Closure(string): string  $offer  title of an offer
     */
    private static function forWhom(DocumentItem $item, \Closure $title, \Closure $offer): ?string
    {
        $tiers = $item->tiers();
        $only = $item->only();

        return self::join(
            $tiers === null ? null : ($tiers === [] ? Say::text('drafts.rule_table.no_pass') : RuleWords::enumeration($tiers, 'or')),
            $only === null ? null : RuleWords::condition($only, $title, $offer),
        );
    }

    /** @param  'guests'|'observers'  $audience */
    private static function audience(DocumentItem $item, string $audience): ?string
    {
        return in_array($audience, $item->neverFor(), true) ? 'never' : self::yes($audience === 'guests' ? $item->guests() : $item->observers());
    }

    /**
     * What an item that says nothing takes over from what it stands in, or from the door.
     *
     * @param  list<DocumentItem>  $path  the items above, from the top
     * @param  'guests'|'observers'  $audience
     */
    private function inherited(array $path, string $audience): string
    {
        $course = $this->document->read();
        $inherited = ($audience === 'guests' ? $course->guestDoor() : $course->observerDoor())->default ? 'yes' : 'no';
        foreach ($path as $above) {
            $own = self::audience($above, $audience);
            if ($inherited !== 'never' && $own !== null) {
                $inherited = $own;
            }
        }

        return $inherited;
    }

    /** A value of its own that does nothing says why. */
    private static function vain(RuleCell $cell, ?string $reason): RuleCell
    {
        return $cell->own && $reason !== null ? new RuleCell($cell->words, own: true, edited: $cell->edited, vain: $reason) : $cell;
    }

    /** Null where nothing is set. */
    private static function afterRule(DocumentItem $item): ?AfterRule
    {
        $after = $item->after();

        return $after === null && ! $item->inOrder() ? null : new AfterRule($after?->mode() ?? 'all', $after?->items() ?? [], $after?->atLeast(), $item->inOrder());
    }

    private static function join(?string ...$parts): ?string
    {
        $parts = array_filter($parts, static fn (?string $part): bool => $part !== null);

        return $parts === [] ? null : implode(' · ', $parts);
    }

    private static function yes(?bool $value): ?string
    {
        return $value === null ? null : ($value ? 'yes' : 'no');
    }
}
