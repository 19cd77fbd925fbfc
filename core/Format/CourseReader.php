<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Door;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\PlanEntry;
use SilentKeep\Core\Rules\ReleasePlan;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Lasting;
use SilentKeep\Core\Viewing\Offer;

/** Reads one course of a document, and the offers that lead to it. */
final class CourseReader
{
    private readonly RuleReader $rules;

    /** @var array<int, string> */
    private array $tiers = [];

    /** @var array<array-key, ReleasePlan> */
    private array $plans = [];

    /** @param  array<array-key, true>  $offerKeys  every offer of the document */
    public function __construct(SchoolZone $zone, private readonly array $offerKeys)
    {
        $this->rules = new RuleReader($zone);
    }

    /** @param  list<Fields>  $offers  of this course, in document order */
    public function read(Fields $fields, array $offers): Course
    {
        $fields->only(
            'key', 'title', 'display', 'state', 'entry', 'opens', 'closes', 'keep_after_retiring', 'sample_needs_account', 'in_order',
            'guest_door', 'observer_door', 'tiers', 'main_plan', 'plans', 'items',
        )->needs('key', 'state', 'entry', 'items');
        $key = $fields->string('key') ?? '';
        $fields->object('display');
        $opens = $fields->localTime('opens') === null ? null : $this->rules->instant($fields, 'opens');
        $closes = $fields->localTime('closes') === null ? null : $this->rules->instant($fields, 'closes');
        if ($opens !== null && $closes !== null && $closes <= $opens) {
            $fields->offend('closes', 'must be after the course opens');
        }
        $this->tiers = $fields->strings('tiers') ?? [];
        $positions = new ItemPositions($fields);
        $conditions = new ConditionReader($this->rules, $positions, $this->tiers, $this->offerKeys);
        $items = (new ItemReader($this->rules, $conditions, $positions, $this->tiers))->items($fields->objects('items'), Kind::topLevel());
        $this->readPlans($fields->object('plans'), $positions);

        return new Course(
            key: $key,
            title: $fields->string('title'),
            state: $fields->enum('state', CourseState::class) ?? CourseState::Draft,
            entry: $fields->enum('entry', Entry::class) ?? Entry::Invite,
            opens: $opens,
            closes: $closes,
            keepAfterRetiring: $fields->bool('keep_after_retiring', default: true),
            sampleNeedsAccount: $fields->bool('sample_needs_account'),
            inOrder: $fields->bool('in_order'),
            guestDoor: $this->door($fields->object('guest_door')?->only('open', 'default')),
            observerDoor: $this->door($fields->object('observer_door')?->only('open', 'default', 'follow')),
            tiers: array_values($this->tiers),
            mainPlan: $this->planNamed($fields, 'main_plan'),
            plans: $this->plans,
            offers: array_map(fn (Fields $offer): Offer => $this->offer($offer, $positions), $offers),
            outline: new Outline($items),
        );
    }

    private function offer(Fields $fields, ItemPositions $positions): Offer
    {
        $tier = $fields->string('tier');
        if ($tier !== null && ! in_array($tier, $this->tiers, true)) {
            $fields->offend('tier', 'names a tier that the course does not have: '.$tier);
        }
        $scope = $fields->strings('scope');

        return new Offer(
            key: $fields->string('key') ?? '',
            course: $fields->string('course') ?? '',
            title: $fields->string('title'),
            tier: $tier,
            plan: $this->planNamed($fields, 'plan'),
            scope: $scope === null ? null : $positions->listed($scope, $fields, 'scope'),
            lasts: $this->lasting($fields->object('lasts')),
            labels: self::labels($fields),
        );
    }

    /** @return list<string> */
    private static function labels(Fields $fields): array
    {
        $labels = $fields->strings('labels') ?? [];
        foreach ($labels as $index => $label) {
            if ($label === '') {
                $fields->offences->add($fields->at('labels').'/'.$index, 'must not be empty');
            } elseif (array_search($label, $labels, true) !== $index) {
                $fields->offences->add($fields->at('labels').'/'.$index, 'stands twice in this offer: '.$label);
            }
        }

        return array_values($labels);
    }

    private function lasting(?Fields $fields): Lasting
    {
        if ($fields === null) {
            return Lasting::forGood();
        }
        $fields->only('days', 'until');
        if ($fields->has('days') === $fields->has('until')) {
            $fields->offences->add($fields->pointer, 'must have either days or until');

            return Lasting::forGood();
        }

        return $fields->has('days') ? Lasting::days($fields->days('days') ?? 0) : Lasting::until($this->rules->instant($fields, 'until'));
    }

    private function planNamed(Fields $fields, string $key): ?ReleasePlan
    {
        $name = $fields->string($key);
        if ($name !== null && ! isset($this->plans[$name])) {
            $fields->offend($key, 'names a release plan that the course does not have: '.$name);
        }

        return $name === null ? null : $this->plans[$name] ?? null;
    }

    private function door(?Fields $fields): Door
    {
        return $fields === null ? new Door(open: false, default: false, follow: true) : new Door($fields->bool('open'), $fields->bool('default'), $fields->bool('follow', default: true));
    }

    private function readPlans(?Fields $fields, ItemPositions $positions): void
    {
        foreach ($fields?->names() ?? [] as $name) {
            $plan = $fields === null ? null : Fields::of($fields->raw($name), $fields->at($name), $fields->offences);
            $entries = [];
            foreach ($plan?->names() ?? [] as $key) {
                if ($plan === null) {
                    continue;
                }
                $at = $positions->of($key);
                if ($at === null) {
                    $plan->offend($key, 'names an item that the course does not have');
                }
                $entry = $plan->object($key)?->only('opens', 'closes');
                $read = new PlanEntry($this->rules->opening($entry?->object('opens')), $this->rules->closing($entry?->object('closes')));
                if ($at !== null) {
                    $entries[$at] = $read;
                }
            }
            $this->plans[$name] = new ReleasePlan($name, $entries);
        }
    }
}
