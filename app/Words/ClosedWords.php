<?php

declare(strict_types=1);

namespace App\Words;

use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\PassReading;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** What a learner is told of a closed item. It names no item that this viewer may not know of. */
final readonly class ClosedWords
{
    /** What time does not open. */
    private const NO_DATE = [Reason::Tier, Reason::NotInPass, Reason::NotForYou, Reason::Closed, Reason::Held, Reason::Stuck];

    /** @var \ArrayObject<int, string> instants in words: a course names the same few of them hundreds of times */
    private \ArrayObject $said;

    public function __construct(private Decider $decider, private CourseSnapshot $snapshot, private WallClock $clock)
    {
        /** @var \ArrayObject<int, string> $said */
        $said = new \ArrayObject;
        $this->said = $said;
    }

    private function instant(int $instant): string
    {
        return $this->said[$instant] ??= $this->clock->words($instant);
    }

    private function date(int $instant): string
    {
        return $this->clock->date($instant);
    }

    /** A few words beside a title. */
    public function short(Decision $decision): Sentence
    {
        $position = $this->position($decision);
        $opens = $this->opening($decision);
        $first = $this->toFinish($position);
        $why = $decision->why;

        return match (true) {
            $opens !== null && $decision->next?->state === State::Open => Sentence::say('closed.short.opens', ['at' => $this->instant($opens)]),
            in_array(Reason::Tier, $why, true) => $this->forTiers($position),
            in_array(Reason::NotInPass, $why, true) => Sentence::say('closed.short.not_in_pass'),
            in_array(Reason::NotForYou, $why, true) => Sentence::say('closed.short.not_for_you'),
            in_array(Reason::Closed, $why, true) => $this->closedSince($position),
            in_array(Reason::Held, $why, true) => Sentence::say('closed.short.held'),
            in_array(Reason::Stuck, $why, true) => Sentence::say('closed.short.stuck'),
            $this->endsBefore($decision) !== null => Sentence::say('closed.short.'.$this->endsBefore($decision)),
            $opens !== null && in_array(Reason::Progress, $why, true) => $first === []
                ? Sentence::say('closed.short.from', ['date' => $this->date($opens)])
                : Sentence::say('closed.short.from_once', ['date' => $this->date($opens)], ['item' => $first[0]]),
            $opens !== null => Sentence::say('closed.short.opens', ['at' => $this->instant($opens)]),
            in_array(Reason::Progress, $why, true) => $first === [] ? Sentence::say('closed.short.something_first') : Sentence::say('closed.short.first', [], ['item' => $first[0]]),
            default => $this->plain($why[0] ?? null),
        };
    }

    /** "From Mon 16 Mar", where a date is known. */
    public function dateOnly(Decision $decision): ?Sentence
    {
        $opens = $this->opening($decision);

        return $opens === null ? null : Sentence::say('closed.short.from', ['date' => $this->date($opens)]);
    }

    /** Heading and explanation of the notice that stands in the item's place. */
    public function notice(Decision $decision): Notice
    {
        $position = $this->position($decision);
        $title = $this->decider->course->outline->items[$position]->title ?? $decision->item;
        $opens = $this->opening($decision);
        $first = $this->toFinish($position);
        $why = $decision->why;
        $has = static fn (Reason ...$reasons): bool => array_intersect(array_map(static fn (Reason $r): string => $r->value, $reasons), array_map(static fn (Reason $r): string => $r->value, $why)) !== [];

        $says = static fn (string $text, array $with = [], array $titles = []): Sentence => Sentence::say("closed.text.{$text}", $with, $titles);
        $opening = $opens === null ? [] : ['at' => $this->clock->plain($opens), 'zone' => $this->clock->zoneName()];
        [$heading, $text] = match (true) {
            $has(Reason::LearnerCannot) => ['learner_cannot', $says('learner_cannot')],
            $has(Reason::NotForYou) => ['not_for_you', $says('not_for_you')],
            $has(Reason::GuestsShut, Reason::GuestsNotHere) => ['no_guests', $says('no_guests')],
            $has(Reason::ObserversShut, Reason::ObserversNotHere) => ['no_observers', $says('no_observers')],
            $has(Reason::NotSignedIn) => ['needs_pass', $says('not_signed_in')],
            $has(Reason::SampleNeedsAccount) => ['needs_account', $says('needs_account')],
            $has(Reason::NoPass) => ['needs_pass', $says('no_pass')],
            $has(Reason::PassEnded) => ['pass_ended', $says($this->snapshot->hasFinishedAnything() ? 'pass_ended' : 'pass_ended_with_nothing')],
            $has(Reason::PassPaused) => ['pass_paused', $says('pass_paused', [], ['title' => $title])],
            $has(Reason::PassRevoked) => ['pass_revoked', $says('pass_revoked')],
            $has(Reason::PassNotStarted) => ['pass_not_started', $opens === null ? $says('pass_begins_later') : $says('pass_begins', $opening)],
            $has(Reason::CourseNotOpen) => ['course_not_open', $says('course_opens', $this->courseDate(opening: true))],
            $has(Reason::CourseOver) => ['course_over', $says('course_closed', $this->courseDate(opening: false))],
            $has(Reason::CourseRetired) => ['course_over', $says('course_retired')],
            $has(Reason::Tier) => ['not_in_pass', $says('short', ['short' => (string) $this->forTiers($position)])],
            $has(Reason::NotInPass) => ['not_in_pass', $says('not_in_pass')],
            $has(Reason::Closed) => ['closed', $says('short', ['short' => (string) $this->closedSince($position)])],
            $has(Reason::Held) => ['held', $says('held')],
            $has(Reason::Stuck) => ['stuck', $says('stuck')],
            $this->endsBefore($decision) !== null => ['not_yet', $says('short', ['short' => (string) $this->short($decision)])],
            $opens !== null && $has(Reason::Progress) => ['not_yet', $first === [] ? $says('opens_once_first', $opening) : $says('opens_once', $opening, ['item' => $first[0]])],
            $opens !== null => ['not_yet', $says('opens', $opening)],
            $has(Reason::Progress) => ['first', $first === [] ? $says('something_first') : $says('first', [], ['items' => $first])],
            default => ['otherwise', $says('short', ['short' => (string) $this->plain($why[0] ?? null)])],
        };

        return new Notice(Sentence::say("closed.heading.{$heading}", [], ['title' => $title]), $text);
    }

    /** @return array<string, string> names and dates for the school's own words; empty where there is none */
    public function placeholders(Decision $decision): array
    {
        $position = $this->position($decision);
        $opens = $this->opening($decision);
        $tiers = $this->tiers($position);

        return [
            'title' => $this->decider->course->outline->items[$position]->title ?? $decision->item,
            'opens' => $opens === null ? '' : $this->clock->plain($opens).', '.$this->clock->zoneName(),
            'first' => RuleWords::enumeration($this->toFinish($position), 'and'),
            'tiers' => $tiers === [] ? '' : RuleWords::enumeration($tiers, 'or'),
        ];
    }

    /** When time will have done its part: the next change that opens it, or the nearest pass's release. */
    private function opening(Decision $decision): ?int
    {
        if ($decision->next?->state === State::Open) {
            return $decision->next->at;
        }
        $position = $this->position($decision);
        // Where something else stands in the way, the day is promised to nobody.
        if ($this->endsBefore($decision) !== null || array_intersect(self::codes(self::NO_DATE), self::codes($decision->why)) !== []) {
            return null;
        }
        $release = $this->nearestPass($position)?->schedule->release[$position];

        return $release !== null && $release !== Instant::NEVER && in_array(Reason::NotYet, $decision->why, true) ? $release : null;
    }

    /** Their own; for whoever looks with a learner, and has none, the learner's. */
    private function nearestPass(int $position): ?PassReading
    {
        return $this->snapshot->nearestPass($position) ?? $this->snapshot->learner()?->nearestPass($position);
    }

    /** What ends before the item opens to the nearest pass: `after_pass`, `after_their_pass`, `after_course`; null: neither does, or no date is known. */
    private function endsBefore(Decision $decision): ?string
    {
        $position = $this->position($decision);
        $pass = in_array(Reason::NotYet, $decision->why, true) && $decision->next?->state !== State::Open ? $this->nearestPass($position) : null;
        $release = $pass?->schedule->release[$position] ?? Instant::NEVER;

        return match (true) {
            $pass === null || $release === Instant::NEVER => null,
            $release >= $pass->pass->until => $this->snapshot->nearestPass($position) === null ? 'after_their_pass' : 'after_pass',
            $release >= ($this->decider->course->closes ?? Instant::NEVER) => 'after_course',
            default => null,
        };
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<string>
     */
    private static function codes(array $reasons): array
    {
        return array_map(static fn (Reason $reason): string => $reason->value, $reasons);
    }

    /** @return list<string> titles of what is to be finished first, as far as this viewer may know them */
    private function toFinish(int $position): array
    {
        $titles = [];
        foreach ($this->nearestPass($position)?->waitsFor($position) ?? [] as $first) {
            if ($this->snapshot->standings[$first]->state !== State::Hidden) {
                $item = $this->decider->course->outline->items[$first];
                $titles[] = $item->title ?? $item->key;
            }
        }

        return $titles;
    }

    private function forTiers(int $position): Sentence
    {
        $tiers = $this->tiers($position);

        $offers = [];
        foreach ($this->decider->course->offers as $offer) {
            if ($this->decider->prepared->coverage($offer)->covers($position)) {
                $offers[] = $offer->title ?? $offer->key;
            }
        }

        return $tiers === [] ? Sentence::say('closed.short.no_tier')
            : ($offers === [] ? Sentence::say('closed.short.tiers', ['tiers' => RuleWords::enumeration($tiers, 'or')]) : Sentence::say('closed.short.offers', ['offers' => RuleWords::enumeration($offers, 'and')]));
    }

    /** @return list<string> */
    private function tiers(int $position): array
    {
        $tiers = [];
        foreach ($this->decider->course->outline->path[$position] as $step) {
            $tiers = $this->decider->course->outline->items[$step]->tiers ?? $tiers;
        }

        return $tiers;
    }

    private function closedSince(int $position): Sentence
    {
        $closing = $this->nearestPass($position)?->schedule->closing[$position];

        return $closing === null || $closing === Instant::NEVER ? Sentence::say('closed.short.closed') : Sentence::say('closed.short.closed_since', ['at' => $this->instant($closing)]);
    }

    /** @return array{at: string, zone: string} of the season's beginning, or of its end */
    private function courseDate(bool $opening): array
    {
        $instant = $opening ? $this->decider->course->opens : $this->decider->course->closes;

        return ['at' => $instant === null ? '' : $this->clock->plain($instant), 'zone' => $this->clock->zoneName()];
    }

    private function plain(?Reason $reason): Sentence
    {
        return match ($reason) {
            Reason::CourseNotOpen => Sentence::say('closed.short.course_opens', $this->courseDate(opening: true)),
            Reason::CourseOver => Sentence::say('closed.short.course_closed', $this->courseDate(opening: false)),
            default => Sentence::say('closed.short.'.match ($reason) {
                Reason::NotSignedIn, Reason::NoPass => 'needs_pass',
                Reason::SampleNeedsAccount => 'needs_account',
                Reason::PassEnded => 'pass_ended',
                Reason::PassPaused => 'pass_paused',
                Reason::PassRevoked => 'pass_revoked',
                Reason::PassNotStarted => 'pass_not_started',
                Reason::CourseRetired => 'course_over',
                Reason::GuestsShut, Reason::GuestsNotHere => 'no_guests',
                Reason::ObserversShut, Reason::ObserversNotHere => 'no_observers',
                Reason::LearnerCannot => 'learner_cannot',
                Reason::Held => 'handed_out',
                Reason::NotYet => 'later',
                default => 'closed',
            }),
        };
    }

    private function position(Decision $decision): int
    {
        return $this->decider->course->outline->positionOf($decision->item) ?? throw new \OutOfBoundsException($decision->item);
    }

    /** When the pass that lets the viewer in ends. */
    public static function passWords(Pass $pass, string $offer, WallClock $clock): string
    {
        return $pass->until === Instant::NEVER ? Say::text('learner.pass.for_good', ['offer' => $offer]) : Say::text('learner.pass.until', ['offer' => $offer, 'at' => $clock->words($pass->until)]);
    }
}
