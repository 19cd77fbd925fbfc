<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

/**
 * Somebody who looks, as an address names them:
 *
 * `visitor`, `guest`, `member` · `person:12`, by their number · `holder:8:KEY`, whose pass of the offer KEY began
 * eight days ago (`holder:-3:KEY`: begins in three), nothing finished · `diligent:8:KEY`, who has finished each lesson
 * as soon as it opened · `labelled:LABEL,LABEL:` before either, who has these labels too, each as an address encodes it ·
 * `observer:` before a person, a holder or a diligent one, who looks with them.
 *
 * Days are counted at the present instant, so that a saved vantage is the same kind of viewer on every day.
 */
final readonly class VantagePoint implements \Stringable
{
    /** A pass may have begun, or begin, this many days from now. */
    public const MOST_DAYS = 3660;

    private const FORM = '/^(?:(?<alone>visitor|guest|member)|(?<observer>observer:)?(?:person:(?<person>[1-9]\d{0,17})|(?:labelled:(?<labels>[^:\s]{1,400}):)?(?<how>holder|diligent):(?<day>-?\d{1,4}):(?<offer>.{1,255})))$/uDs';

    /** @param  list<string>  $labels  of a holder who is nobody in particular */
    private function __construct(
        public VantageKind $kind,
        public ?int $person = null,
        public ?string $offer = null,
        public int $day = 0,
        public bool $diligent = false,
        public ?self $observed = null,
        public array $labels = [],
    ) {
    }

    /** Null for anything else than the forms above. */
    public static function parse(string $text): ?self
    {
        if (preg_match(self::FORM, $text, $found, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }
        if (isset($found['alone'])) {
            return new self(VantageKind::from($found['alone']));
        }
        if (isset($found['person'])) {
            $point = self::person((int) $found['person']);
        } elseif (abs((int) $found['day']) <= self::MOST_DAYS) {
            $point = self::holder((string) $found['offer'], (int) $found['day'], $found['how'] === 'diligent', self::labels($found['labels'] ?? ''));
        } else {
            return null;
        }

        return isset($found['observer']) ? self::observer($point) : $point;
    }

    /** @return list<string> each once */
    private static function labels(string $encoded): array
    {
        return array_values(array_unique(array_filter(array_map(rawurldecode(...), explode(',', $encoded)), static fn (string $label): bool => $label !== '' && mb_check_encoding($label))));
    }

    public static function visitor(): self
    {
        return new self(VantageKind::Visitor);
    }

    public static function guest(): self
    {
        return new self(VantageKind::Guest);
    }

    public static function member(): self
    {
        return new self(VantageKind::Member);
    }

    public static function person(int $id): self
    {
        return new self(VantageKind::Person, person: $id);
    }

    /** @param  list<string>  $labels */
    public static function holder(string $offer, int $day, bool $diligent = false, array $labels = []): self
    {
        return new self(VantageKind::Holder, offer: $offer, day: $day, diligent: $diligent, labels: $labels);
    }

    public static function observer(self $learner): self
    {
        return new self(VantageKind::Observer, observed: $learner);
    }

    public function __toString(): string
    {
        return match ($this->kind) {
            VantageKind::Holder => ($this->labels === [] ? '' : 'labelled:'.implode(',', array_map(rawurlencode(...), $this->labels)).':').($this->diligent ? 'diligent' : 'holder').":{$this->day}:{$this->offer}",
            VantageKind::Person => "person:{$this->person}",
            VantageKind::Observer => 'observer:'.$this->observed,
            default => $this->kind->value,
        };
    }
}
