<?php

declare(strict_types=1);

namespace App\Checks;

use App\Access\SchoolClock;
use App\Database\Value;
use App\Front\CourseSizes;
use App\Front\LessonSize;
use App\Front\Sizes;
use App\Models\AcceptedFinding;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Trigger;
use App\Triggers\Spec\StepKind;
use App\Triggers\Spec\TriggerSpec;

/** What the school knows of its courses and no plan says: read for several at once, once a request. */
final class KnownOfCourses
{
    /** @var array<int, CourseSizes> by course, like the others */
    private array $sizesOf = [];

    /** @var array<int, array<array-key, int>> */
    private array $sold = [];

    /** @var array<int, list<string>> */
    private array $trials = [];

    /** @var array<int, array<array-key, AcceptedFinding>> */
    private array $accepted = [];

    /** @var ?list<string> */
    private ?array $labels = null;

    public function __construct(private readonly SchoolClock $clock, private readonly Sizes $sizes)
    {
    }

    /** @param  list<int>  $courses  of which something is to be asked; as many queries for many as for one */
    public function prepare(array $courses): void
    {
        $missing = array_values(array_diff($courses, array_keys($this->sizesOf)));
        if ($missing === []) {
            return;
        }
        $now = $this->clock->now();
        $this->sizesOf += $this->sizes->all($missing);
        foreach (Offer::query()->whereIntegerInRaw('course_id', $missing)->orderBy('id')->get() as $offer) {
            if ($offer->price !== null && ($offer->sold_until === null || $offer->sold_until->getTimestamp() > $now)) {
                $this->sold[$offer->course_id][$offer->key] = $offer->price;
            }
            if ($offer->trial) {
                $this->trials[$offer->course_id][] = $offer->key;
            }
        }
        foreach (AcceptedFinding::query()->with('person')->whereIntegerInRaw('course_id', $missing)->get() as $accepted) {
            $this->accepted[$accepted->course_id][$accepted->subject] = $accepted;
        }
    }

    /** @return array<array-key, int> price in the smallest coin, by the key of each offer that is sold or free now */
    public function sold(int $course): array
    {
        $this->prepare([$course]);

        return $this->sold[$course] ?? [];
    }

    /** @return list<string> keys of offers */
    public function trials(int $course): array
    {
        $this->prepare([$course]);

        return $this->trials[$course] ?? [];
    }

    /** @return array<array-key, int> by item */
    public function minutes(int $course): array
    {
        $this->prepare([$course]);

        return array_map(static fn (LessonSize $size): int => $size->minutes, $this->sizesOf[$course]->sizes);
    }

    /** @return array<array-key, AcceptedFinding> by digest of what they are of */
    public function accepted(int $course): array
    {
        $this->prepare([$course]);

        return $this->accepted[$course] ?? [];
    }

    /** @return list<string> labels that people have or had, that offers of any course give, and that triggers give */
    public function labels(): array
    {
        if ($this->labels === null) {
            $given = Value::texts(Label::query()->distinct()->orderBy('label')->pluck('label')->all());
            foreach (Offer::query()->where('labels', '!=', '[]')->orderBy('id')->get() as $offer) {
                $given = [...$given, ...$offer->labels];
            }
            foreach (Trigger::query()->orderBy('id')->get() as $trigger) {
                foreach (TriggerSpec::of($trigger->spec)->steps as $step) {
                    $given = $step->kind() === StepKind::GiveLabel && $step->label !== null ? [...$given, $step->label] : $given;
                }
            }
            $this->labels = array_values(array_unique($given));
        }

        return $this->labels;
    }
}
