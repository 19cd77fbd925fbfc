<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Document\DocumentCourse;
use App\Models\Document\DocumentDate;
use App\Models\Document\DocumentDates;
use App\Models\Document\DocumentItem;
use App\Models\Document\DocumentLabels;
use App\Models\Document\DocumentOffer;
use App\Models\Document\WritableCourse;
use App\Models\Document\WritableItem;
use App\Models\Document\WritableOffer;
use SilentKeep\Core\Format\PlanReader;

/**
 * The rules of one course as they are kept in revisions and drafts: the course and the access side of its
 * offers, decoded. It is read by the readers of `Document` and changed by its writers alone: nothing is lost on the way.
 */
final class CourseDocument
{
    private const JSON = JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION;

    /** @var array<array-key, mixed> keys that no new item may get, beside those of its items; nothing of what the document says */
    private array $taken = [];

    /**
     * @param  \stdClass  $course  as the plan format has it
     * @param  list<\stdClass>  $offers  likewise
     */
    public function __construct(private readonly \stdClass $course, private array $offers)
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

    /** Of a course that is made from nothing: see {@see WritableCourse::make()}. */
    public static function begun(string $key, string $title): self
    {
        return new self(WritableCourse::make($key, $title)->read()->raw(), []);
    }

    /**
     * Hands every date of the rules to a function, which says what stands there from then on.
     *
     * @param  \Closure(DocumentDate): string  $each
     */
    public function mapDates(\Closure $each): void
    {
        DocumentDates::map($this->course, $this->offers, $each);
    }

    /** Every label that the rules name. */
    public function labels(): DocumentLabels
    {
        return new DocumentLabels($this->course, $this->offers);
    }

    public function withoutOffers(): self
    {
        return new self($this->course, []);
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
        return $this->read()->title();
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

    /** @return list<string> the keys of what is to be finished for an item to be: itself, and what is inside and not optional */
    public function toFinish(string $item): array
    {
        $keys = [];
        foreach ($this->read()->places() as $place) {
            $inside = array_filter($place->path, static fn (DocumentItem $above): bool => $above->key() === $item) !== [];
            if (in_array($place->item->kind(), ['lesson', 'part'], true) && ($place->item->key() === $item || ($inside && $place->item->optional() !== true))) {
                $keys[] = $place->item->key();
            }
        }

        return $keys;
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

    /** @param  array<array-key, mixed>  $taken  by key */
    public function keepFree(array $taken): void
    {
        $this->taken = $taken;
    }

    /** Whether a new item cannot have this key. */
    public function isTaken(string $key): bool
    {
        return isset($this->taken[$key]) || isset($this->readItems()[$key]);
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

    public function add(WritableOffer $offer): void
    {
        $this->offers[] = $offer->json();
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

    /** With all that it paces. */
    public function renamePlan(string $name, string $to): void
    {
        $plans = [];
        foreach ($this->read()->planNames() as $one) {
            $plan = $this->edit()->plan($one);
            if ($plan !== null) {
                $plans[] = [$one === $name ? $to : $one, $plan];
            }
        }
        $this->edit()->setPlans($plans);
        $this->repace($name, $to);
    }

    /** Wherever one plan paces somebody, another does from now on; null: none. */
    public function repace(string $plan, ?string $by): void
    {
        if ($this->read()->mainPlan() === $plan) {
            $this->edit()->set('main_plan', $by);
        }
        foreach ($this->editOffers() as $offer) {
            if ($offer->read()->plan() === $plan) {
                $offer->set('plan', $by);
            }
        }
    }

    /** The course, to be changed in place. */
    public function edit(): WritableCourse
    {
        return new WritableCourse($this->course);
    }

    /** The item with this key, likewise. */
    public function editItem(string $key): ?WritableItem
    {
        foreach ($this->edit()->outline()->allInside() as $item) {
            if ($item->key() === $key) {
                return $item;
            }
        }

        return null;
    }

    /** @return list<WritableOffer> likewise */
    public function editOffers(): array
    {
        return array_map(static fn (\stdClass $offer): WritableOffer => new WritableOffer($offer), $this->offers);
    }

    /** Says from now on what another says, in all but its key. */
    public function become(self $other): void
    {
        foreach (array_keys(get_object_vars($this->course)) as $name) {
            if ($name !== 'key') {
                unset($this->course->{$name});
            }
        }
        foreach (get_object_vars($other->course) as $name => $value) {
            if ($name !== 'key') {
                $this->course->{$name} = $value;
            }
        }
        $this->offers = $other->offers;
    }

    /** The course as the plan format has it: itself, not a copy. */
    public function raw(): \stdClass
    {
        return $this->course;
    }
}
