<?php

declare(strict_types=1);

namespace App\Privacy\Erasing;

use App\Database\Hand;
use App\Models\Person;
use App\School\Keeping\KeptDays;
use App\School\Keeping\KeptKind;
use Illuminate\Database\Eloquent\Builder;

/** Erases people who were not here for as long as the school says, who hold nothing and observe nobody. */
final readonly class EraseDeparted
{
    /** In one run of the schedule: the queue looks for traces of each. */
    private const MOST = 50;

    public function __construct(private KeptDays $kept, private ErasePerson $erase)
    {
    }

    /** @return int how many there were */
    public function __invoke(): int
    {
        $before = $this->kept->before(KeptKind::Departed);
        $departed = $before === null ? [] : $this->departed($before)->limit(self::MOST)->get();
        foreach ($departed as $person) {
            Hand::writes('schedule', 'erasure', fn () => ($this->erase)($person, null));
        }

        return count($departed);
    }

    /**
     * @param  string  $before  an instant, as it is stored
     * @return Builder<Person>
     */
    public function departed(string $before): Builder
    {
        return Person::query()->whereNull('role')->whereNull('erased_at')
            ->whereRaw('coalesce(seen_at, created_at) < ?', [$before])
            ->whereRaw('not exists (select 1 from passes p where p.person_id = people.id and p.state <> ? and (p.ends_at is null or p.ends_at > ?))', ['revoked', $before])
            ->whereRaw('not exists (select 1 from observer_ties t where t.observer_id = people.id)')
            ->whereRaw('not exists (select 1 from grants g where g.person_id = people.id and (g.ends_at is null or g.ends_at > ?))', [$before])
            ->orderBy('id');
    }
}
