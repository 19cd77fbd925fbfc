<?php

declare(strict_types=1);

namespace Tests\Ledger;

use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\Person;
use App\Models\Role;
use App\Models\School;
use Illuminate\Support\Facades\DB;
use Random\Randomizer;

/** What administrators change by chance, beside what they do to people. */
trait ChangesTheSchool
{
    private const PEOPLE = ['eira', 'tiril', 'odd', 'liv', 'ragna'];

    private const COURSES = ['clinker', 'steam-frames'];

    private readonly Randomizer $dice;

    private int $now;

    /** @param  list<string>  $items */
    private function changeRules(\stdClass $course, array $items): void
    {
        $plan = $course->plans->{$course->main_plan ?? array_key_first((array) $course->plans)};
        $item = $this->one($items);
        $wall = fn (int $from, int $to): string => gmdate('Y-m-d\TH:00', $this->now + $this->dice->getInt($from, $to) * 3600);
        match ($this->dice->getInt(0, 7)) {
            0, 1 => $plan->{$item} = (object) ['opens' => (object) ['rule' => 'after_start', 'days' => $this->dice->getInt(0, 40), 'time' => '09:00']],
            2 => $plan->{$item} = (object) ['opens' => (object) ['rule' => 'on', 'at' => $wall(-200, 400)]],
            3 => $plan->{$item} = (object) ['opens' => (object) ['rule' => 'held']],
            4 => $course->opens = $this->dice->getInt(0, 1) === 1 ? $wall(-100, 100) : null,
            5 => $course->closes = $this->dice->getInt(0, 1) === 1 ? $wall(24, 2000) : null,
            6 => $course->guest_door = (object) ['open' => $this->dice->getInt(0, 1) === 1, 'default' => true],
            default => $course->in_order = ! ($course->in_order ?? false),
        };
    }

    private function settings(): string
    {
        School::query()->firstOrFail()->update($this->one([['guests' => true], ['guests' => false], ['zone' => 'Europe/Oslo'], ['zone' => 'Atlantic/Reykjavik'], ['grace_days' => $this->dice->getInt(0, 20)]]));

        return 'settings';
    }

    private function offers(): string
    {
        Offer::query()->where('key', $this->one($this->offerKeys()))->firstOrFail()->update($this->one([['labels' => ['crew']], ['labels' => []], ['name' => 'Pass '.$this->dice->getInt(1, 99)]]));

        return 'offers';
    }

    private function roles(): string
    {
        $person = Person::query()->findOrFail($this->one($this->ids()));
        $person->update(['role' => $this->one([null, null, null, Role::Editor, Role::Assistant])]);
        DB::table('edited_courses')->where('person_id', $person->id)->delete();
        if ($person->role === Role::Editor) {
            DB::table('edited_courses')->insert(['person_id' => $person->id, 'course_id' => $this->course($this->one(self::COURSES))->id]);
        }

        return 'roles';
    }

    private function course(string $key): Course
    {
        return Course::query()->with('liveRevision')->where('key', $key)->firstOrFail();
    }

    /** @return list<string> */
    private function items(Course $course): array
    {
        return array_map(strval(...), array_keys(CourseDocument::fromJson((string) $course->liveRevision?->document)->readItems()));
    }

    /** @return list<int> */
    private function ids(): array
    {
        return Value::ints(Person::query()->whereIn('email', array_map(static fn (string $name): string => "{$name}@alder.test", self::PEOPLE))->orderBy('id')->pluck('id'));
    }

    /** @return list<string> */
    private function offerKeys(): array
    {
        return Value::texts(Offer::query()->whereIn('course_id', Course::query()->whereIn('key', self::COURSES)->pluck('id'))->orderBy('id')->pluck('key'));
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of === [] ? throw new \LogicException('There is nothing to choose from.') : $of[$this->dice->getInt(0, count($of) - 1)];
    }
}
