<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

use SilentKeep\Core\Outline\Audience;
use SilentKeep\Core\Outline\Item;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Rules\Prerequisites;

/** Reads the items of a course, each with what stands inside it. */
final class ItemReader
{
    private const ITEM_KEYS = [
        'key', 'kind', 'title', 'display', 'draft', 'sample', 'optional', 'tiers', 'only', 'guests', 'observers', 'never_for',
        'after', 'in_order', 'when_closed', 'finish', 'items',
    ];

    /** How many items have been read so far: the position of the next. */
    private int $reading = 0;

    /** @param  array<int, string>  $tiers  of the course */
    public function __construct(private readonly RuleReader $rules, private readonly ConditionReader $conditions, private readonly ItemPositions $positions, private readonly array $tiers)
    {
    }

    /**
     * @param  list<Fields>  $siblings
     * @param  list<Kind>  $allowed
     * @return list<Item>
     */
    public function items(array $siblings, array $allowed): array
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
            only: $fields->has('only') ? $this->conditions->read($fields->raw('only'), $fields->at('only'), $fields->offences) : null,
            guests: $fields->boolOrNull('guests'),
            observers: $fields->boolOrNull('observers'),
            neverFor: $fields->enums('never_for', Audience::class),
            after: $this->prerequisites($fields->object('after'), $at),
            inOrder: $fields->bool('in_order'),
            hideWhenClosed: $whenClosed === 'hide',
            finish: $this->rules->finish($fields->object('finish')),
            optional: $fields->bool('optional'),
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
        $positions = $this->positions->listed($named, $fields, $key, fn (int $item): ?string => $this->positions->cannotComeFirst($item, $of));

        return match ($key) {
            'all' => Prerequisites::all($positions),
            'any' => Prerequisites::any($positions),
            default => Prerequisites::atLeast($fields->int('at_least', 1, count($fields->list('of') ?? [])) ?? 1, $positions),
        };
    }
}
