<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\SchoolClock;
use App\Ledger\Past\PastAnswer;
use App\Ledger\Story\Turn;
use App\Words\Glyph;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\State;

/** Tells the turns of one story: rows by their places, reasons once each. */
final class Telling
{
    /** @var array<array-key, PastRow> by key */
    private array $rows;

    /** @var array<array-key, int> by key */
    private array $places;

    /** @var list<Sentence> */
    private array $reasons = [];

    /** @var array<string, int> */
    private array $known = [];

    /** @var array<array-key, bool> whether it was open last, by key */
    private array $wasOpen = [];

    /**
     * @param  list<PastRow>  $rows  of the course as it is now
     * @param  array<int, string>  $offers  names by number
     * @param  int  $person  of whom it is told
     */
    public function __construct(private readonly SchoolClock $clock, private readonly EntryWords $words, private readonly Hands $hands, array $rows, private readonly array $offers, private readonly int $person)
    {
        $this->rows = array_combine(array_map(static fn (PastRow $row): string => $row->key, $rows), $rows);
        $this->places = array_flip(array_keys($this->rows));
    }

    /** Null where it is nothing that anybody would see. */
    public function turn(Turn $turn): ?PastTurn
    {
        [$opened, $shut, $changes, $causes] = $turn->answer === null ? $this->ended() : $this->changed($turn, $turn->answer);
        [$lines, $about] = $this->lines($turn);
        $lines = [...$lines, ...array_map(static fn (string $cause): PastLine => new PastLine(Sentence::of($cause), null), $causes)];

        return $lines === [] && $changes === [] ? null : new PastTurn($turn->at, $this->clock->words($turn->at), $lines, $opened, $shut, $changes, $about);
    }

    /** @return array{list<int>, list<int>, list<PastChange>, list<string>} what opened, what shut, changes and causes, where the course is not published any more */
    private function ended(): array
    {
        $shut = $changes = [];
        foreach (array_keys(array_filter($this->wasOpen)) as $key) {
            $shut[] = $this->places[$key];
            $changes[] = new PastChange($this->places[$key], Glyph::Hidden->value, look: false, reason: $this->reason(Sentence::say('past_told.not_published')));
        }
        $this->wasOpen = [];

        return [[], $shut, $changes, []];
    }

    /** @return array{list<int>, list<int>, list<PastChange>, list<string>} likewise */
    private function changed(Turn $turn, PastAnswer $answer): array
    {
        $words = new TurnWords($answer, $this->clock);
        $opened = $shut = $changes = $causes = [];
        foreach ($turn->changes as $key => $decision) {
            $place = $this->place((string) $key, $answer);
            $open = $decision->state === State::Open;
            if ($open !== ($this->wasOpen[$key] ?? false)) {
                $open ? $opened[] = $place : $shut[] = $place;
                // What somebody did says so itself.
                $turn->entries !== [] || $causes[] = self::cause($words, $decision);
            }
            $this->wasOpen[$key] = $open;
            $changes[] = new PastChange($place, Glyph::of($decision)->value, Glyph::looksOnly($decision), $this->reason($words->reason($decision)));
        }

        return [$opened, $shut, $changes, array_values(array_unique($causes))];
    }

    /** @return list<PastRow> */
    public function rows(): array
    {
        return array_values($this->rows);
    }

    /** @return list<Sentence> */
    public function reasons(): array
    {
        return $this->reasons;
    }

    /** @return array<array-key, int> of the rows, by key */
    public function places(): array
    {
        return $this->places;
    }

    /** @return array{list<PastLine>, list<int>} what was written, and places of the rows that it is about */
    private function lines(Turn $turn): array
    {
        $lines = $about = [];
        foreach ($turn->entries as [$entry, $before]) {
            $said = $this->words->of($entry, $before, $this->offers, $this->hands, $this->person, $turn->answer);
            if ($said !== null) {
                $lines[] = new PastLine($said, $this->hands->by($entry, $this->person));
                // Of what is gone the row says nothing but its number: it stands in the one before.
                $place = $this->places[$entry->fact->textOrNull('item_key') ?? $before?->textOrNull('item_key') ?? ''] ?? null;
                $place === null || in_array($place, $about, true) ? null : $about[] = $place;
            }
        }

        return [$lines, $about];
    }

    /** What time alone has done. */
    private static function cause(TurnWords $words, Decision $decision): string
    {
        if ($decision->state !== State::Open) {
            return Say::text('past_told.shut', ['why' => lcfirst($words->reason($decision)->marked())]);
        }
        $rule = $words->rule($decision);

        return $rule === null ? Say::text('past_told.opened') : Say::text('past_told.opened_by_rule', ['rule' => $rule]);
    }

    private function place(string $key, PastAnswer $answer): int
    {
        if (! isset($this->places[$key])) {
            $outline = $answer->answer->decider->course->outline;
            $position = (int) $outline->positionOf($key);
            $item = $outline->items[$position];
            $this->places[$key] = count($this->rows);
            $this->rows[$key] = new PastRow($key, $item->title ?? $key, $item->kind->value, count($outline->path[$position]) - 1, former: true);
        }

        return $this->places[$key];
    }

    private function reason(Sentence $reason): int
    {
        $key = serialize($reason->segments);
        if (! isset($this->known[$key])) {
            $this->known[$key] = count($this->reasons);
            $this->reasons[] = $reason;
        }

        return $this->known[$key];
    }
}
