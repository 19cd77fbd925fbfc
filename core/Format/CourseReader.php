<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Door;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Rules\AllOf;
use SilentKeep\Core\Rules\AnyOf;
use SilentKeep\Core\Rules\ByOffer;
use SilentKeep\Core\Rules\Condition;
use SilentKeep\Core\Rules\FromInstant;
use SilentKeep\Core\Rules\HasLabel;
use SilentKeep\Core\Rules\HasTier;
use SilentKeep\Core\Rules\IsDone;
use SilentKeep\Core\Rules\NotSo;
use SilentKeep\Core\Rules\OfKind;
use SilentKeep\Core\Rules\PlanEntry;
use SilentKeep\Core\Rules\Prerequisites;
use SilentKeep\Core\Rules\ReleasePlan;
use SilentKeep\Core\Rules\UntilInstant;
use SilentKeep\Core\Rules\ViewerKind;
use SilentKeep\Core\Time\SchoolZone;
use SilentKeep\Core\Viewing\Lasting;
use SilentKeep\Core\Viewing\Offer;

/** Reads one course of a document, and the offers that lead to it. */
final class CourseReader
{
    private const ITEM_KEYS = [
        'key', 'kind', 'title', 'display', 'draft', 'sample', 'tiers', 'only', 'guests', 'observers', 'never_for',
        'after', 'in_order', 'when_closed', 'finish', 'items',
    ];

    private const CONDITIONS = ['all', 'any', 'not', 'label', 'tier', 'offer', 'kind', 'done', 'from', 'until'];

    private readonly RuleReader $rules;

    /** @var array<array-key, int> position by item key */
    private array $position = [];

    /** @var list<int<-1, max>> the position of the item above, or Outline::TOP */
    private array $parent = [];

    /** @var list<?Kind> */
    private array $kinds = [];

    /** How many items have been read so far: the position of the next. */
    private int $reading = 0;

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
        $this->number($fields, Outline::TOP);
        $items = $this->items($fields->objects('items'), Kind::topLevel());
        $this->readPlans($fields->object('plans'));

        return new Course(
            key: $key,
            title: $fields->string('title'),
            state: $fields->enum('state', CourseState::class) ?? CourseState::Draft,
            entry: $fields->enum('entry', Entry::class) ?? Entry::Invite,
            opens: $opens,
            closes: $closes,
            keepAfterRetiring: $fields->bool('keep_after_retiring', true),
            sampleNeedsAccount: $fields->bool('sample_needs_account'),
            inOrder: $fields->bool('in_order'),
            guestDoor: $this->door($fields->object('guest_door')?->only('open', 'default')),
            observerDoor: $this->door($fields->object('observer_door')?->only('open', 'default', 'follow')),
            tiers: array_values($this->tiers),
            mainPlan: $this->planNamed($fields, 'main_plan'),
            plans: $this->plans,
            offers: array_map($this->offer(...), $offers),
            outline: new Outline($items),
        );
    }

    private function offer(Fields $fields): Offer
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
            scope: $scope === null ? null : $this->positions($scope, $fields, 'scope'),
            lasts: $this->lasting($fields->object('lasts')),
        );
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
        return $fields === null ? new Door(false, false, true) : new Door($fields->bool('open'), $fields->bool('default'), $fields->bool('follow', true));
    }

    private function readPlans(?Fields $fields): void
    {
        foreach ($fields?->names() ?? [] as $name) {
            $plan = $fields === null ? null : Fields::of($fields->raw($name), $fields->at($name), $fields->offences);
            $entries = [];
            foreach ($plan?->names() ?? [] as $key) {
                if ($plan === null) {
                    continue;
                }
                $at = $this->position[$key] ?? null;
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

    /**
     * Gives every item its position in reading order, before anything that may refer to it is read.
     *
     * @param  int<-1, max>  $above
     */
    private function number(Fields $container, int $above): void
    {
        foreach ($container->objectsInSilence('items') as $fields) {
            $at = count($this->parent);
            $this->parent[] = $above;
            $kind = $fields->raw('kind');
            $this->kinds[] = is_string($kind) ? Kind::tryFrom($kind) : null;
            $key = $fields->raw('key');
            if (is_string($key)) {
                if (isset($this->position[$key])) {
                    $fields->offend('key', 'is used twice in this course: '.$key);
                }
                $this->position[$key] ??= $at;
            }
            $this->number($fields, $at);
        }
    }

    /**
     * @param  list<Fields>  $siblings
     * @param  list<Kind>  $allowed
     * @return list<Item>
     */
    private function items(array $siblings, array $allowed): array
    {
        $items = [];
        foreach ($siblings as $fields) {
            $items[] = $this->item($fields, $allowed);
        }

        return $items;
    }

    /** @param  list<Kind>  $allowed */
    private function item(Fields $fields, array $allowed): Item
    {
        $at = $this->reading++;
        $fields->only(...self::ITEM_KEYS)->needs('key', 'kind');
        $fields->object('display');
        $kind = $fields->enum('kind', Kind::class);
        if ($kind !== null && ! in_array($kind, $allowed, true)) {
            $fields->offend('kind', "a {$kind->value} must not stand here");
        }
        if ($fields->bool('in_order') && $kind !== null && $kind !== Kind::Module) {
            $fields->offend('in_order', "is for courses and modules, not for a {$kind->value}");
        }
        $whenClosed = $fields->string('when_closed');
        if ($whenClosed !== null && $whenClosed !== 'show' && $whenClosed !== 'hide') {
            $fields->offend('when_closed', 'must be one of show, hide, not '.Fields::describe($whenClosed));
        }

        return new Item(
            key: $fields->string('key') ?? '',
            kind: $kind ?? Kind::Lesson,
            title: $fields->string('title'),
            draft: $fields->bool('draft'),
            sample: $fields->bool('sample'),
            tiers: $this->tierList($fields),
            only: $fields->has('only') ? $this->condition($fields->raw('only'), $fields->at('only'), $fields->offences) : null,
            guests: $fields->boolOrNull('guests'),
            observers: $fields->boolOrNull('observers'),
            neverFor: $fields->enums('never_for', Audience::class),
            after: $this->prerequisites($fields->object('after'), $at),
            inOrder: $fields->bool('in_order'),
            hideWhenClosed: $whenClosed === 'hide',
            finish: $this->rules->finish($fields->object('finish')),
            // Below an unknown kind nothing is known of what may stand there.
            items: $this->items($fields->objects('items'), $kind === null ? Kind::cases() : $kind->holds()),
        );
    }

    /** @return ?list<string> */
    private function tierList(Fields $fields): ?array
    {
        $tiers = $fields->strings('tiers');
        foreach ($tiers ?? [] as $index => $tier) {
            if (! in_array($tier, $this->tiers, true)) {
                $fields->offences->add($fields->at('tiers').'/'.$index, 'names a tier that the course does not have: '.$tier);
            }
        }

        return $tiers === null ? null : array_values($tiers);
    }

    private function prerequisites(?Fields $fields, int $of): ?Prerequisites
    {
        if ($fields === null) {
            return null;
        }
        $fields->only('all', 'any', 'at_least', 'of');
        $forms = array_values(array_filter(['all', 'any', 'at_least', 'of'], $fields->has(...)));
        if ($forms !== ['all'] && $forms !== ['any'] && $forms !== ['at_least', 'of']) {
            $fields->offences->add($fields->pointer, 'must have either all, or any, or at_least together with of');

            return null;
        }
        $key = $forms[count($forms) - 1];
        $named = $fields->strings($key) ?? [];
        $positions = $this->positions($named, $fields, $key, fn (int $item): ?string => $this->cannotComeFirst($item, $of));

        return match ($key) {
            'all' => Prerequisites::all($positions),
            'any' => Prerequisites::any($positions),
            default => Prerequisites::atLeast($fields->int('at_least', 1, count($fields->list('of') ?? [])) ?? 1, $positions),
        };
    }

    private function cannotComeFirst(int $item, int $of): ?string
    {
        return match (true) {
            $this->kinds[$item] === Kind::Board => 'a board is never finished, so nothing can wait for it',
            $item === $of => 'an item cannot wait for itself',
            $this->isAbove($item, $of) => 'an item cannot wait for one that it is inside of',
            $this->isAbove($of, $item) => 'an item cannot wait for one that is inside it',
            default => null,
        };
    }

    private function isAbove(int $upper, int $lower): bool
    {
        for ($at = $this->parent[$lower]; $at !== Outline::TOP; $at = $this->parent[$at]) {
            if ($at === $upper) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array<int, string>  $keys
     * @param  ?\Closure(int): ?string  $objection
     * @return list<int>
     */
    private function positions(array $keys, Fields $fields, string $list, ?\Closure $objection = null): array
    {
        $positions = [];
        foreach ($keys as $index => $key) {
            $position = $this->position[$key] ?? null;
            $message = $position === null ? 'names an item that the course does not have: '.$key : ($objection === null ? null : $objection($position));
            if ($message !== null) {
                $fields->offences->add($fields->at($list).'/'.$index, $message);
            } elseif ($position !== null) {
                $positions[] = $position;
            }
        }

        return $positions;
    }

    private function condition(mixed $value, string $pointer, Offences $offences): ?Condition
    {
        $fields = Fields::of($value, $pointer, $offences);
        if ($fields === null) {
            return null;
        }
        $names = $fields->names();
        if (count($names) !== 1) {
            $offences->add($pointer, 'a condition has exactly one of the keys '.implode(', ', self::CONDITIONS));

            return null;
        }
        $key = $names[0];
        $fields->only(...self::CONDITIONS)->needs($key);
        if (in_array($key, ['all', 'any'], true)) {
            $conditions = [];
            foreach ($fields->list($key) ?? [] as $index => $inner) {
                $conditions[] = $this->condition($inner, $fields->at($key).'/'.$index, $offences);
            }
            $conditions = array_values(array_filter($conditions));

            return $key === 'all' ? new AllOf($conditions) : new AnyOf($conditions);
        }
        if ($key === 'not') {
            $inner = $fields->has('not') ? $this->condition($fields->raw('not'), $fields->at('not'), $offences) : null;

            return $inner === null ? null : new NotSo($inner);
        }
        if ($key === 'from' || $key === 'until') {
            $instant = $this->rules->instant($fields, $key);

            return $key === 'from' ? new FromInstant($instant) : new UntilInstant($instant);
        }
        if ($key === 'kind') {
            $kind = $fields->enum('kind', ViewerKind::class);

            return $kind === null ? null : new OfKind($kind);
        }

        return $this->conditionByName($fields, $key);
    }

    private function conditionByName(Fields $fields, string $key): ?Condition
    {
        $name = in_array($key, self::CONDITIONS, true) ? $fields->string($key) : null;
        if ($name === null) {
            return null;
        }
        $known = match ($key) {
            'tier' => in_array($name, $this->tiers, true),
            'offer' => isset($this->offerKeys[$name]),
            'done' => isset($this->position[$name]),
            default => true,
        };
        if (! $known) {
            $fields->offend($key, ($key === 'done' ? 'names an item' : "names a {$key}").' that is not there: '.$name);

            return null;
        }

        return match ($key) {
            'tier' => new HasTier($name),
            'offer' => new ByOffer($name),
            'done' => new IsDone($this->position[$name]),
            default => new HasLabel($name),
        };
    }
}
