<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Drafts\Edits\SetAudience;
use App\Drafts\Edits\SetCourse;
use App\Drafts\Edits\SetField;
use App\Drafts\Edits\SetTime;
use App\Drafts\Plans\DeletePlan;
use App\Models\CourseDocument;
use App\Models\Document\DocumentTime;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;

/** One change of the rules that lets somebody in: the edit itself, and what is said of it. */
final readonly class Fix
{
    /**
     * @param  list<string>  $items  that it is made at, by key; empty for what is the course's own
     * @param  ?string  $plan  whose times are set
     * @param  ?string  $tier  that is let in too
     */
    public function __construct(public FixKind $kind, public array $items = [], private ?string $plan = null, private ?string $tier = null)
    {
    }

    public function step(): FixByRule
    {
        return new FixByRule($this->kind->value, $this->items, $this->plan, $this->tier);
    }

    /** @throws CannotEdit */
    public function applyTo(CourseDocument $document): void
    {
        if ($this->kind === FixKind::TierToo) {
            foreach ($this->items as $key) {
                $item = $document->editItem($key) ?? throw CannotEdit::noSuchItem($key);
                $item->set('tiers', [...$item->read()->tiers() ?? [], (string) $this->tier]);
            }

            return;
        }
        $this->edit($document)->applyTo($document);
    }

    private function edit(CourseDocument $document): Edit
    {
        $course = static fn (array $fields): SetCourse => new SetCourse($fields, $document->guestPhrase());
        $door = static fn (string $name, array $set): SetCourse => $course([$name => (object) [...(array) ($document->read()->member($name) ?? []), ...$set]]);

        return match ($this->kind) {
            FixKind::CourseLive => $course(['state' => 'live']),
            FixKind::SeasonBegun => $course(['opens' => null]),
            FixKind::SeasonOpenEnded => $course(['closes' => null]),
            FixKind::ByOffer => $course(['entry' => 'offer']),
            FixKind::AnyOrderOnTop => $course(['in_order' => false]),
            FixKind::SampleForVisitors => $course(['sample_needs_account' => false]),
            FixKind::OpenObserverDoor => $door('observer_door', ['open' => true]),
            FixKind::ObserversEverywhere => $door('observer_door', ['default' => true]),
            FixKind::OpenGuestDoor => $door('guest_door', ['open' => true]),
            FixKind::GuestsEverywhere => $door('guest_door', ['default' => true]),
            FixKind::ObserversHere => new SetAudience('observers', $this->items, 'yes'),
            FixKind::GuestsHere => new SetAudience('guests', $this->items, 'yes'),
            FixKind::NoDraft => new SetField('draft', $this->items, null),
            FixKind::NoCondition => new SetField('only', $this->items, null),
            FixKind::NothingFirst => new SetField('after', $this->items, null),
            FixKind::AnyOrder => new SetField('in_order', $this->items, null),
            FixKind::Sample => new SetField('sample', $this->items, true),
            FixKind::NoSample => new SetField('sample', $this->items, null),
            FixKind::Optional => new SetField('optional', $this->items, true),
            FixKind::NoPlan => new DeletePlan((string) $this->plan, null),
            FixKind::AtOnce => new SetTime('opens', (string) $this->plan, $this->items, DocumentTime::from(['rule' => 'at_once'])),
            FixKind::NeverCloses => new SetTime('closes', (string) $this->plan, $this->items, null),
            FixKind::EveryPass, FixKind::TierToo => new SetField('tiers', $this->items, null),
        };
    }

    /**
     * What it does, as a clause; see {@see Sentence::title}.
     *
     * @param  list<string>  $titles  of its items
     */
    public function clause(array $titles): string
    {
        $items = ['items' => RuleWords::enumeration(array_map(Sentence::title(...), $titles), 'and'), 'count' => count($titles)];

        return match ($this->kind) {
            FixKind::TierToo => Say::text('why.fix.tier_too', [...$items, 'tier' => (string) $this->tier]),
            FixKind::NoPlan => Say::text('why.fix.no_plan', ['plan' => Sentence::title((string) $this->plan)]),
            default => Say::text("why.fix.{$this->kind->value}", $items),
        };
    }
}
