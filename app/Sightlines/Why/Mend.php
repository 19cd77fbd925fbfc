<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Drafts\Edits\SetAudience;
use App\Drafts\Edits\SetCourse;
use App\Drafts\Edits\SetField;
use App\Drafts\Edits\SetTime;
use App\Models\CourseDocument;

/** One change of the rules that lets somebody in: the edit itself, and what is said of it. */
final readonly class Mend
{
    /**
     * @param  list<string>  $items  that it is made at, by key; empty for what is the course's own
     * @param  ?string  $plan  whose times are set
     * @param  ?string  $tier  that is let in too
     */
    public function __construct(public MendKind $kind, public array $items = [], private ?string $plan = null, private ?string $tier = null)
    {
    }

    public function step(): MendStep
    {
        return new MendStep($this->kind->value, $this->items, $this->plan, $this->tier);
    }

    /** @throws CannotEdit */
    public function applyTo(CourseDocument $document): void
    {
        if ($this->kind === MendKind::TierToo) {
            foreach ($this->items as $key) {
                $item = $document->item($key) ?? throw CannotEdit::noSuchItem($key);
                $item->tiers = [...array_values((array) ($item->tiers ?? [])), (string) $this->tier];
            }

            return;
        }
        $this->edit($document)->applyTo($document);
    }

    private function edit(CourseDocument $document): Edit
    {
        $course = static fn (array $fields): SetCourse => new SetCourse($fields, $document->guestPhrase());
        $door = static fn (string $name, array $set): SetCourse => $course([$name => (object) [...(array) ($document->course->{$name} ?? []), ...$set]]);

        return match ($this->kind) {
            MendKind::CourseLive => $course(['state' => 'live']),
            MendKind::SeasonBegun => $course(['opens' => null]),
            MendKind::SeasonOpenEnded => $course(['closes' => null]),
            MendKind::AnyOrderOnTop => $course(['in_order' => false]),
            MendKind::SampleForVisitors => $course(['sample_needs_account' => false]),
            MendKind::OpenObserverDoor => $door('observer_door', ['open' => true]),
            MendKind::ObserversEverywhere => $door('observer_door', ['default' => true]),
            MendKind::OpenGuestDoor => $door('guest_door', ['open' => true]),
            MendKind::GuestsEverywhere => $door('guest_door', ['default' => true]),
            MendKind::ObserversHere => new SetAudience('observers', $this->items, 'yes'),
            MendKind::GuestsHere => new SetAudience('guests', $this->items, 'yes'),
            MendKind::NoDraft => new SetField('draft', $this->items, null),
            MendKind::NoCondition => new SetField('only', $this->items, null),
            MendKind::NothingFirst => new SetField('after', $this->items, null),
            MendKind::AnyOrder => new SetField('in_order', $this->items, null),
            MendKind::Sample => new SetField('sample', $this->items, true),
            MendKind::AtOnce => new SetTime('opens', (string) $this->plan, $this->items, (object) ['rule' => 'at_once']),
            MendKind::NeverCloses => new SetTime('closes', (string) $this->plan, $this->items, null),
            MendKind::EveryPass, MendKind::TierToo => new SetField('tiers', $this->items, null),
        };
    }

    /** What it does, as a clause with `{}` where each of its items is named. */
    public function clause(): string
    {
        $many = count($this->items) > 1;
        $items = implode(' and ', array_fill(0, count($this->items), '{}'));
        $is = $many ? 'are' : 'is';

        return match ($this->kind) {
            MendKind::CourseLive => 'the course goes live',
            MendKind::SeasonBegun => 'the season has no beginning',
            MendKind::SeasonOpenEnded => 'the season has no end',
            MendKind::AnyOrderOnTop => 'the course opens in any order',
            MendKind::SampleForVisitors => 'samples need no account',
            MendKind::OpenObserverDoor => 'the observer door opens',
            MendKind::ObserversEverywhere => 'every row lets observers in that says nothing else',
            MendKind::OpenGuestDoor => 'the guest door opens',
            MendKind::GuestsEverywhere => 'every row lets guests in that says nothing else',
            MendKind::ObserversHere => $items.($many ? ' let' : ' lets').' observers in',
            MendKind::GuestsHere => $items.($many ? ' let' : ' lets').' guests in',
            MendKind::NoDraft => "{$items} {$is} no draft any more",
            MendKind::NoCondition => $items.($many ? ' have' : ' has').' no condition',
            MendKind::NothingFirst => "nothing comes before {$items}",
            MendKind::AnyOrder => "what is in {$items} opens in any order",
            MendKind::Sample => $items.($many ? ' become samples' : ' becomes a sample'),
            MendKind::AtOnce => $items.($many ? ' open' : ' opens').' at once',
            MendKind::NeverCloses => $items.($many ? ' do' : ' does').' not close',
            MendKind::EveryPass => "{$items} {$is} for every pass",
            MendKind::TierToo => "{$items} {$is} for {$this->tier} too",
        };
    }
}
