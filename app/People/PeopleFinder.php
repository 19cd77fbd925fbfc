<?php

declare(strict_types=1);

namespace App\People;

use App\Access\FoundPerson;
use App\Access\Staff\PeopleInSight;
use App\Database\Dialects;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;

/** Finds people by a part of their name or address. */
final readonly class PeopleFinder
{
    private const MOST = 12;

    /** Whose address it is; where nobody has it, who has claimed it last. */
    public function byEmail(string $email): ?Person
    {
        $email = mb_strtolower(trim($email));

        return Person::query()->where('email', $email)->whereNull('erased_at')->first() ?? Person::query()->where('claimed_email', $email)->latest('id')->first();
    }

    public function __construct(private PeopleInSight $sight)
    {
    }

    /**
     * @param  ?Course  $at  at which they are looked for: who edits some courses finds there whom they may know of
     * @return list<FoundPerson> those whose name begins with it first
     */
    public function find(string $part, ?Course $at = null): array
    {
        $part = trim($part);
        if ($part === '') {
            return [];
        }
        // What stands for any text in a pattern stands for itself here.
        $dialect = Dialects::spoken();
        $literal = addcslashes($part, '%_\\');
        $people = Person::query()->whereNull('erased_at')
            ->where(static fn (Builder $one): Builder => $one->whereRaw($dialect->like('name'), ["%{$literal}%"])->orWhereRaw($dialect->like('coalesce(claimed_email, email)'), ["%{$literal}%"]))
            ->when($at !== null, fn (Builder $people): Builder => $at === null ? $people : $this->sight->at($at, $people))
            ->orderByRaw("case when {$dialect->like('name')} then 0 else 1 end", ["{$literal}%"])->orderBy('name')->orderBy('id')
            ->limit(self::MOST)->get(['id', 'name', 'email', 'claimed_email']);
        $found = [];
        foreach ($people as $person) {
            $found[] = new FoundPerson($person->id, $person->name, $person->address());
        }

        return $found;
    }
}
