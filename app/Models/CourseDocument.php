<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Document\DocumentCourse;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentOffer;
use SilentKeep\Core\Format\PlanReader;

/**
 * The rules of one course as they are kept in revisions and drafts: the course and the access side of its
 * offers, decoded, with JSON objects as stdClass so that nothing is lost on the way.
 */
final class CourseDocument
{
    private const JSON = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /** @param  list<\stdClass>  $offers */
    public function __construct(public readonly \stdClass $course, public array $offers)
    {
    }

    public static function fromJson(string $json): self
    {
        $document = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        if (! $document instanceof \stdClass || ! ($document->course ?? null) instanceof \stdClass || ! is_array($document->offers ?? null)) {
            throw new \UnexpectedValueException('Not a course document.');
        }

        return new self($document->course, array_values(array_filter($document->offers, static fn (mixed $offer): bool => $offer instanceof \stdClass)));
    }

    public function toJson(): string
    {
        return json_encode(['course' => $this->course, 'offers' => $this->offers], self::JSON);
    }

    /** A whole plan document of this one course, as the open format has it. */
    public function toPlan(School $school): \stdClass
    {
        return (object) [
            'format' => PlanReader::FORMAT,
            'school' => (object) ['zone' => $school->zone, 'guests' => $school->guests],
            'offers' => $this->offers,
            'courses' => [$this->course],
        ];
    }

    public function planJson(School $school): string
    {
        return json_encode($this->toPlan($school), self::JSON | JSON_PRETTY_PRINT)."\n";
    }

    public function title(): string
    {
        return self::titleOf($this->course);
    }

    /** The course, to be read: whoever does not change it reads it so. */
    public function read(): DocumentCourse
    {
        return new DocumentCourse($this->course);
    }

    /** @return list<DocumentOffer> likewise */
    public function readOffers(): array
    {
        return array_map(static fn (\stdClass $offer): DocumentOffer => new DocumentOffer($offer), $this->offers);
    }

    public function hasOffer(string $key): bool
    {
        return array_filter($this->readOffers(), static fn (DocumentOffer $offer): bool => $offer->key() === $key) !== [];
    }

    /** @return array<array-key, DocumentItem> by key, in reading order */
    public function readItems(): array
    {
        $items = [];
        foreach ($this->read()->places() as $place) {
            $items[$place->item->key()] = $place->item;
        }

        return $items;
    }

    public static function titleOf(\stdClass $thing): string
    {
        $title = $thing->title ?? $thing->key ?? '';

        return is_string($title) ? $title : '';
    }

    /**
     * What guests must say at the guest door; null: nothing. It is kept in `display`, which the core never reads and
     * no learner's page is sent.
     */
    public function guestPhrase(): ?string
    {
        $phrase = ($this->course->display ?? null) instanceof \stdClass ? $this->course->display->guest_phrase ?? null : null;

        return is_string($phrase) && $phrase !== '' ? $phrase : null;
    }

    /** Whether observers get in by what is marked for them, whatever their learner holds. */
    public function letsObserversInWhoFollowNobody(): bool
    {
        $door = $this->read()->observerDoor();

        return $door->open && ! $door->follow;
    }

    /** A copy of its own, which may be changed. */
    public function copy(): self
    {
        return self::fromJson($this->toJson());
    }

    public function equals(self $other): bool
    {
        return $this->toJson() === $other->toJson();
    }

    public function add(\stdClass $offer): void
    {
        $this->offers[] = $offer;
    }

    /** Whether there was such an offer. */
    public function drop(string $offer): bool
    {
        $left = array_values(array_filter($this->offers, static fn (\stdClass $one): bool => ($one->key ?? null) !== $offer));
        $there = count($left) < count($this->offers);
        $this->offers = $left;

        return $there;
    }

    /** @param  array<array-key, string>  $names  of offers by key, as they are sold under */
    public function withNames(array $names): self
    {
        $offers = [];
        foreach ($this->offers as $offer) {
            $copy = clone $offer;
            $name = $names[is_string($offer->key ?? null) ? $offer->key : ''] ?? null;
            if ($name !== null) {
                $copy->title = $name;
            }
            $offers[] = $copy;
        }

        return new self($this->course, $offers);
    }

    /** @return list<array{string, mixed}> the release plans by name, in the order in which they were made */
    public function plans(): array
    {
        $plans = $this->course->plans ?? null;
        $all = $plans instanceof \stdClass ? get_object_vars($plans) : [];

        return array_map(static fn (int|string $name, mixed $plan): array => [(string) $name, $plan], array_keys($all), array_values($all));
    }

    /** @param  list<array{string, mixed}>  $pairs  names and plans */
    public function setPlans(array $pairs): void
    {
        $plans = new \stdClass;
        foreach ($pairs as [$name, $plan]) {
            $plans->{$name} = $plan;
        }
        $this->course->plans = $plans;
    }

    /** With all that it paces. */
    public function renamePlan(string $name, string $to): void
    {
        $this->setPlans(array_map(static fn (array $pair): array => $pair[0] === $name ? [$to, $pair[1]] : $pair, $this->plans()));
        $this->repace($name, $to);
    }

    /** Wherever one plan paces somebody, another does from now on; null: none. */
    public function repace(string $plan, ?string $by): void
    {
        foreach ([[$this->course, 'main_plan'], ...array_map(static fn (\stdClass $offer): array => [$offer, 'plan'], $this->offers)] as [$on, $field]) {
            if (($on->{$field} ?? null) === $plan) {
                $on->{$field} = $by;
            }
        }
    }

    /** The item with this key, to be read or changed in place. */
    public function item(string $key): ?\stdClass
    {
        foreach ($this->items() as $item) {
            if (($item->key ?? null) === $key) {
                return $item;
            }
        }

        return null;
    }

    /** @return \Generator<int, \stdClass> in reading order */
    public function items(): \Generator
    {
        yield from self::below($this->course);
    }

    /** @return \Generator<int, \stdClass> */
    private static function below(\stdClass $container): \Generator
    {
        $items = $container->items ?? [];
        foreach (is_array($items) ? $items : [] as $item) {
            if ($item instanceof \stdClass) {
                yield $item;
                foreach (self::below($item) as $inside) {
                    yield $inside;
                }
            }
        }
    }
}
