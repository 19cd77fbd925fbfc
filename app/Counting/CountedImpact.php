<?php

declare(strict_types=1);

namespace App\Counting;

use App\Access\Viewers;
use App\Database\Value;
use App\Models\Course;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person;

/** What a change would do to people, counted in groups: how many each of its effects touches. */
final readonly class CountedImpact
{
    public function __construct(private Viewers $viewers)
    {
    }

    /**
     * @param  array<array-key, mixed>  $sofar  people by effect, as `Effect` calls them; `any`: those whom anything touches
     * @param  list<int>  $people  the next of them
     * @return array<array-key, mixed> the same with them
     */
    public function add(array $sofar, Impact $impact, Course $course, array $people): array
    {
        foreach ($this->viewers->each(array_fill_keys($people, false), $course) as $id => $viewer) {
            $touched = array_filter($impact->on([new Person((string) $id, $viewer)])->toArray(names: false)['touched'], static fn (mixed $number): bool => $number === 1);
            foreach ([...array_keys($touched), ...($touched === [] ? [] : ['any'])] as $effect) {
                $sofar[$effect] = Value::int($sofar[$effect] ?? 0) + 1;
            }
        }

        return $sofar;
    }
}
