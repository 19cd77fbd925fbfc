<?php

declare(strict_types=1);

namespace App\Pages\Api\People;

use App\Models\Completion;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Pass;
use App\Models\Person;
use App\People\HeldLabel;
use App\People\PeopleFilter;
use App\People\PeopleQuery;
use App\People\PeoplesLabels;
use SilentKeep\Core\Time\Instant;

/** Puts together what systems of others are told of people. */
final readonly class PeopleTold
{
    public function __construct(private PeopleQuery $find, private PeoplesLabels $labels)
    {
    }

    public static function person(Person $person): PersonTold
    {
        return new PersonTold($person->id, $person->name, $person->address(), $person->isConfirmed(), $person->isStaff());
    }

    /**
     * @param  int  $after  id
     * @return list<Person> one more than the size, where there are more
     */
    public function some(PeopleFilter $filter, int $after, int $size): array
    {
        return array_values(($this->find)($filter)->reorder()->where('people.id', '>', $after)->orderBy('people.id')->limit($size + 1)->get()->all());
    }

    public function whole(Person $person): PersonWhole
    {
        $courses = Course::query()->toBase()->pluck('key', 'id')->all();
        $key = static fn (int $id): string => is_string($courses[$id] ?? null) ? $courses[$id] : '';
        $labels = array_map(static fn (HeldLabel $one): LabelTold => new LabelTold($one->label, self::instant($one->until), $one->byPass, $one->source), $this->labels->of([$person->id])[$person->id] ?? []);
        $passes = Pass::query()->with('offer')->where('person_id', $person->id)->orderBy('id')->get()->map(static fn (Pass $one): PassTold => new PassTold(
            $one->id, $one->offer->key, $key($one->course_id), self::told($one->starts_at), self::maybe($one->ends_at), $one->state, self::maybe($one->paced_from), $one->source,
        ))->all();
        $grants = Grant::query()->where('person_id', $person->id)->orderBy('id')->get()->map(static fn (Grant $one): GrantTold => new GrantTold($one->id, $key($one->course_id), $one->item_key, self::told($one->starts_at), self::maybe($one->ends_at)))->all();
        $completions = Completion::query()->where('person_id', $person->id)->orderBy('completed_at')->orderBy('id')->get()->map(static fn (Completion $one): CompletionTold => new CompletionTold($key($one->course_id), $one->item_key, self::told($one->completed_at)))->all();

        return new PersonWhole(self::person($person), $labels, array_values($passes), array_values($grants), array_values($completions));
    }

    private static function told(\DateTimeImmutable $at): string
    {
        return Instant::format($at->getTimestamp());
    }

    private static function maybe(?\DateTimeImmutable $at): ?string
    {
        return $at === null ? null : self::told($at);
    }

    private static function instant(?int $at): ?string
    {
        return $at === null ? null : Instant::format($at);
    }
}
