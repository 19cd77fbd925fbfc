<?php

declare(strict_types=1);

namespace SilentKeep\Core\Format;

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
use SilentKeep\Core\Rules\UntilInstant;
use SilentKeep\Core\Rules\ViewerKind;

/** Reads conditions: the one place that knows them by their names in a document. */
final readonly class ConditionReader
{
    private const CONDITIONS = ['all', 'any', 'not', 'label', 'tier', 'offer', 'kind', 'done', 'from', 'until'];

    /**
     * @param  array<int, string>  $tiers  of the course
     * @param  array<array-key, true>  $offerKeys  every offer of the document
     */
    public function __construct(private RuleReader $rules, private ItemPositions $positions, private array $tiers, private array $offerKeys)
    {
    }

    public function read(mixed $value, string $pointer, Offences $offences): ?Condition
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

        return match ($key) {
            'all' => new AllOf($this->several($fields, $key)),
            'any' => new AnyOf($this->several($fields, $key)),
            'not' => $this->opposite($fields),
            'from' => new FromInstant($this->rules->instant($fields, $key)),
            'until' => new UntilInstant($this->rules->instant($fields, $key)),
            'kind' => $this->ofKind($fields),
            default => $this->byName($fields, $key),
        };
    }

    /** @return list<Condition> */
    private function several(Fields $fields, string $key): array
    {
        $conditions = [];
        foreach ($fields->list($key) ?? [] as $index => $inner) {
            $conditions[] = $this->read($inner, $fields->at($key).'/'.$index, $fields->offences);
        }

        return array_values(array_filter($conditions));
    }

    private function opposite(Fields $fields): ?NotSo
    {
        $inner = $fields->has('not') ? $this->read($fields->raw('not'), $fields->at('not'), $fields->offences) : null;

        return $inner === null ? null : new NotSo($inner);
    }

    private function ofKind(Fields $fields): ?OfKind
    {
        $kind = $fields->enum('kind', ViewerKind::class);

        return $kind === null ? null : new OfKind($kind);
    }

    private function byName(Fields $fields, string $key): ?Condition
    {
        $name = in_array($key, self::CONDITIONS, true) ? $fields->string($key) : null;
        if ($name === null) {
            return null;
        }
        $known = match ($key) {
            'tier' => in_array($name, $this->tiers, true),
            'offer' => isset($this->offerKeys[$name]),
            'done' => $this->positions->of($name) !== null,
            default => true,
        };
        if (! $known) {
            $fields->offend($key, match ($key) {
                'done' => 'names an item',
                'offer' => 'names an offer',
                default => "names a {$key}",
            }.' that is not there: '.$name);

            return null;
        }

        return match ($key) {
            'tier' => new HasTier($name),
            'offer' => new ByOffer($name),
            'done' => new IsDone((int) $this->positions->of($name)),
            default => new HasLabel($name),
        };
    }
}
