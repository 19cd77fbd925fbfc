<?php

declare(strict_types=1);

namespace App\Words;

use SilentKeep\Core\Deciding\CourseSnapshot;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Pass;

/** What a learner is told of a closed item. It names no item that this viewer may not know of. */
final readonly class ClosedWords
{
    /** @var \ArrayObject<int, string> instants in words: a course names the same few of them hundreds of times */
    private \ArrayObject $said;

    public function __construct(private Decider $decider, private CourseSnapshot $glance, private WallClock $clock)
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
        return strstr($this->instant($instant), ',', true) ?: $this->instant($instant);
    }

    /** A few words beside a title. */
    public function short(Decision $decision): Sentence
    {
        $position = $this->position($decision);
        $opens = $this->opening($decision);
        $first = $this->toFinish($position);
        $why = $decision->why;

        return match (true) {
            $opens !== null && $decision->next?->state === State::Open => Sentence::of('Opens '.$this->instant($opens)),
            in_array(Reason::Tier, $why, true) => Sentence::of($this->forTiers($position)),
            in_array(Reason::NotInPass, $why, true) => Sentence::of('Not part of your pass'),
            in_array(Reason::NotForYou, $why, true) => Sentence::of('Not meant for you'),
            in_array(Reason::Closed, $why, true) => Sentence::of($this->closedSince($position)),
            in_array(Reason::Held, $why, true) => Sentence::of('Opens when the school hands it to you'),
            in_array(Reason::Stuck, $why, true) => Sentence::of('Waits for something that does not open for you'),
            $opens !== null && in_array(Reason::Progress, $why, true) => $first === []
                ? Sentence::of('From '.$this->date($opens))
                : Sentence::of('From '.$this->date($opens).', once {} is finished', $first[0]),
            $opens !== null => Sentence::of('Opens '.$this->instant($opens)),
            in_array(Reason::Progress, $why, true) => $first === [] ? Sentence::of('Something else comes first') : Sentence::of('Finish {} first', $first[0]),
            default => Sentence::of($this->plain($why[0] ?? null)),
        };
    }

    /** "From Mon 16 Mar", where a date is known. */
    public function dateOnly(Decision $decision): ?Sentence
    {
        $opens = $this->opening($decision);

        return $opens === null ? null : Sentence::of('From '.$this->date($opens));
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

        [$heading, $text] = match (true) {
            $has(Reason::LearnerCannot) => ['{} is not open to your learner', Sentence::of('You see what the learner you observe may enter, and they cannot enter this now.')],
            $has(Reason::NotForYou) => ['{} is meant for others', Sentence::of('Ask the school if you think it should be yours too.')],
            $has(Reason::GuestsShut, Reason::GuestsNotHere) => ['{} is not open to guests', Sentence::of('If you hold a pass, sign in with it.')],
            $has(Reason::ObserversShut, Reason::ObserversNotHere) => ['{} is not open to observers', Sentence::of('The school shows this to learners alone.')],
            $has(Reason::NotSignedIn) => ['{} needs a pass', Sentence::of('If you have one, sign in and you will be back at exactly this page.')],
            $has(Reason::SampleNeedsAccount) => ['{} is open to everyone with an account', Sentence::of('Sign in and you will be back at exactly this page.')],
            $has(Reason::NoPass) => ['{} needs a pass', Sentence::of('You are signed in, but you hold no pass for this course.')],
            $has(Reason::PassEnded) => ['Your pass has ended', Sentence::of('What you have finished is still recorded.')],
            $has(Reason::PassPaused) => ['Your pass is paused', Sentence::of('It opens {} again when it is taken up.', $title)],
            $has(Reason::PassRevoked) => ['Your pass was withdrawn', Sentence::of('Ask the school if you think this is a mistake.')],
            $has(Reason::PassNotStarted) => ['Your pass has not begun', Sentence::of($opens === null ? 'It begins later.' : 'It begins '.$this->instant($opens).', '.$this->clock->zoneName().'.')],
            $has(Reason::CourseNotOpen) => ['The course has not begun', Sentence::of('It opens '.$this->courseDate(true).'.')],
            $has(Reason::CourseOver) => ['The course is over', Sentence::of('It closed '.$this->courseDate(false).'.')],
            $has(Reason::CourseRetired) => ['The course is over', Sentence::of('It is not given any more.')],
            $has(Reason::Tier) => ['{} is not in your pass', Sentence::of($this->forTiers($position).'.')],
            $has(Reason::NotInPass) => ['{} is not in your pass', Sentence::of('Your pass covers another part of this course.')],
            $has(Reason::Closed) => ['{} has closed', Sentence::of($this->closedSince($position).'.')],
            $has(Reason::Held) => ['{} is handed out by the school', Sentence::of('It opens for you when somebody at the school hands it to you.')],
            $has(Reason::Stuck) => ['{} does not open for you', Sentence::of('It waits for something that your pass does not open. Please tell the school.')],
            $opens !== null && $has(Reason::Progress) => ['{} is not open yet', $first === []
                ? Sentence::of('It opens '.$this->instant($opens).', '.$this->clock->zoneName().', once what comes first is finished.')
                : Sentence::of('It opens '.$this->instant($opens).', '.$this->clock->zoneName().', once {} is finished.', $first[0])],
            $opens !== null => ['{} is not open yet', Sentence::of('It opens '.$this->instant($opens).', '.$this->clock->zoneName().'.')],
            $has(Reason::Progress) => ['Something comes before {}', $first === [] ? Sentence::of('Finish what comes first.') : $this->finishAll($first)],
            default => ['{} is closed', Sentence::of($this->plain($why[0] ?? null).'.')],
        };

        return new Notice(Sentence::of($heading, $title), $text);
    }

    /** @return array<string, string> names and dates for the school's own words; empty where there is none */
    public function placeholders(Decision $decision): array
    {
        $position = $this->position($decision);
        $opens = $this->opening($decision);
        $tiers = $this->tiers($position);

        return [
            'title' => $this->decider->course->outline->items[$position]->title ?? $decision->item,
            'opens' => $opens === null ? '' : $this->instant($opens).', '.$this->clock->zoneName(),
            'first' => RuleWords::enumeration($this->toFinish($position), 'and'),
            'tiers' => $tiers === [] ? '' : RuleWords::enumeration($tiers, 'or'),
        ];
    }

    /** @param  non-empty-list<string>  $titles */
    private function finishAll(array $titles): Sentence
    {
        return Sentence::of('Finish '.implode(', ', array_fill(0, count($titles), '{}')).' first, and it opens at once.', ...$titles);
    }

    /** When time will have done its part: the next change that opens it, or the nearest pass's release. */
    private function opening(Decision $decision): ?int
    {
        if ($decision->next?->state === State::Open) {
            return $decision->next->at;
        }
        $position = $this->position($decision);
        $release = $this->glance->nearestPass($position)?->schedule->release[$position];

        return $release !== null && $release !== Instant::NEVER && in_array(Reason::NotYet, $decision->why, true) ? $release : null;
    }

    /** @return list<string> titles of what is to be finished first, as far as this viewer may know them */
    private function toFinish(int $position): array
    {
        $titles = [];
        foreach ($this->glance->nearestPass($position)?->waitsFor($position) ?? [] as $first) {
            if ($this->glance->standings[$first]->state !== State::Hidden) {
                $item = $this->decider->course->outline->items[$first];
                $titles[] = $item->title ?? $item->key;
            }
        }

        return $titles;
    }

    private function forTiers(int $position): string
    {
        $tiers = $this->tiers($position);

        return $tiers === [] ? 'Not part of any pass' : 'For the tier '.RuleWords::enumeration($tiers, 'or');
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

    private function closedSince(int $position): string
    {
        $closing = $this->glance->nearestPass($position)?->schedule->closing[$position];

        return $closing === null || $closing === Instant::NEVER ? 'Closed' : 'Closed '.$this->instant($closing);
    }

    private function courseDate(bool $opening): string
    {
        $instant = $opening ? $this->decider->course->opens : $this->decider->course->closes;

        return $instant === null ? '' : $this->instant($instant).', '.$this->clock->zoneName();
    }

    private function plain(?Reason $reason): string
    {
        return match ($reason) {
            Reason::NotSignedIn => 'Needs a pass',
            Reason::NoPass => 'Needs a pass',
            Reason::SampleNeedsAccount => 'Sign in to look at it',
            Reason::PassEnded => 'Your pass has ended',
            Reason::PassPaused => 'Your pass is paused',
            Reason::PassRevoked => 'Your pass was withdrawn',
            Reason::PassNotStarted => 'Your pass has not begun',
            Reason::CourseNotOpen => 'The course opens '.$this->courseDate(true),
            Reason::CourseOver => 'The course closed '.$this->courseDate(false),
            Reason::CourseRetired => 'The course is over',
            Reason::GuestsShut, Reason::GuestsNotHere => 'Not open to guests',
            Reason::ObserversShut, Reason::ObserversNotHere => 'Not open to observers',
            Reason::LearnerCannot => 'Not open to the learner yet',
            Reason::Held => 'Opens when the school hands it out',
            Reason::NotYet => 'Opens later',
            default => 'Closed',
        };
    }

    private function position(Decision $decision): int
    {
        return $this->decider->course->outline->positionOf($decision->item) ?? throw new \OutOfBoundsException($decision->item);
    }

    /** When the pass that lets the viewer in ends. */
    public static function passWords(Pass $pass, string $offer, WallClock $clock): string
    {
        return $pass->until === Instant::NEVER ? $offer.', for good' : $offer.', to '.$clock->words($pass->until);
    }
}
