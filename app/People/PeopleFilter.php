<?php

declare(strict_types=1);

namespace App\People;

use App\Database\Dialects;
use App\Database\Value;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Facades\DB;

/** Which people a list shows, and in which order: all conditions hold together. */
final readonly class PeopleFilter
{
    public const SORTS = ['name', 'ends', 'seen', 'newest'];

    /**
     * @param  string  $find  a part of name or address
     * @param  ?string  $holds  offer by key: an active pass of it
     * @param  string  $standing  '' or: trial, samples (only looked at samples, no pass ever), none (no pass ever), staff, observes, observed
     * @param  ?int  $endsIn  an active pass ends within so many days
     * @param  ?int  $ended  a pass ended within the last so many days, and none of that course is active
     * @param  ?int  $unseen  not here for so many days, or never
     * @param  ?string  $course  by key: whose progress counts
     * @param  ?int  $from  percent of its lessons, at least
     * @param  ?int  $to  at most
     */
    public function __construct(
        public string $find = '',
        public ?string $holds = null,
        public string $standing = '',
        public ?int $endsIn = null,
        public ?int $ended = null,
        public ?int $unseen = null,
        public ?string $label = null,
        public ?string $course = null,
        public ?int $from = null,
        public ?int $to = null,
        public string $sort = 'name',
    ) {
    }

    /**
     * @param  int  $now  instant
     * @param  list<string>  $lessons  keys of the published lessons of the course whose progress counts
     * @return Builder<Person>
     */
    public function query(int $now, array $lessons): Builder
    {
        return $this->sorted($this->unsorted($now, $lessons), $now);
    }

    /**
     * Those of them for whom a pass ends, sorted by the first that does: so that the first of them are found without looking at the others.
     *
     * @param  list<string>  $lessons
     * @return Builder<Person>
     */
    public function ending(int $now, array $lessons): Builder
    {
        $at = self::stored($now);

        return $this->unsorted($now, $lessons)->join('passes as ending', 'ending.person_id', '=', 'people.id')->where(static fn (Builder $q) => self::ends($q->getQuery(), 'ending', $at))
            ->whereNotExists(static fn (QueryBuilder $q) => self::ends($q->from('passes as sooner')->whereColumn('sooner.person_id', 'ending.person_id'), 'sooner', $at)->where(
                static fn (QueryBuilder $w) => $w->whereColumn('sooner.ends_at', '<', 'ending.ends_at')->orWhere(static fn (QueryBuilder $same) => $same->whereColumn('sooner.ends_at', 'ending.ends_at')->whereColumn('sooner.id', '<', 'ending.id')),
            ))->orderBy('ending.ends_at')->orderBy('people.id');
    }

    /**
     * The others: those for whom nothing ends.
     *
     * @param  list<string>  $lessons
     * @return Builder<Person>
     */
    public function notEnding(int $now, array $lessons): Builder
    {
        return $this->unsorted($now, $lessons)->whereNotExists(static fn (QueryBuilder $q) => self::ends($q->from('passes as ending')->whereColumn('ending.person_id', 'people.id'), 'ending', self::stored($now)))->orderBy('people.id');
    }

    private static function ends(QueryBuilder $query, string $passes, string $at): QueryBuilder
    {
        return $query->where("{$passes}.state", 'active')->where("{$passes}.starts_at", '<=', $at)->where("{$passes}.ends_at", '>', $at);
    }

    /**
     * The same in no order: to be counted.
     *
     * @param  list<string>  $lessons
     * @return Builder<Person>
     */
    public function unsorted(int $now, array $lessons): Builder
    {
        $query = Person::query()->select('people.*');
        if ($this->find !== '') {
            $dialect = Dialects::spoken();
            $part = '%'.addcslashes($this->find, '%_\\').'%';
            $query->where(fn (Builder $q) => $q->whereRaw($dialect->like('people.name'), [$part])->orWhereRaw($dialect->like('coalesce(people.claimed_email, people.email)'), [$part]));
        }
        $this->byPasses($query, $now);
        if ($this->unseen !== null) {
            $query->where(fn (Builder $q) => $q->whereNull('people.seen_at')->orWhere('people.seen_at', '<', self::stored($now - $this->unseen * 86400)));
        }
        if ($this->label !== null) {
            $query->whereIn('people.id', PeoplesLabels::whoHave($this->label, $now));
        }
        if ($this->course !== null && ($this->from !== null || $this->to !== null)) {
            $this->byProgress($query, $lessons);
        }

        return $query;
    }

    /**
     * By what they hold, held, or have never had.
     *
     * @param  Builder<Person>  $query
     */
    private function byPasses(Builder $query, int $now): void
    {
        $at = self::stored($now);
        if ($this->holds !== null) {
            $offer = Offer::query()->where('key', $this->holds)->value('id');
            $query->whereIn('people.id', self::active($at)->where('passes.offer_id', $offer ?? 0));
        }
        match ($this->standing) {
            'trial' => $query->whereIn('people.id', self::active($at)->whereIntegerInRaw('passes.offer_id', Value::ints(Offer::query()->where('trial', true)->orderBy('id')->pluck('id')))),
            'samples' => $query->whereNotIn('people.id', self::passes())->whereIn('people.id', DB::table('looks')->select('person_id')->where('via', 'sample')),
            'none' => $query->whereNull('people.role')->whereNotIn('people.id', self::passes()),
            'staff' => $query->whereNotNull('people.role'),
            'observes' => $query->whereIn('people.id', DB::table('observer_ties')->select('observer_id')),
            'observed' => $query->whereIn('people.id', DB::table('observer_ties')->select('learner_id')),
            default => null,
        };
        if ($this->endsIn !== null) {
            $query->whereIn('people.id', self::active($at)->whereNotNull('passes.ends_at')->where('passes.ends_at', '<=', self::stored($now + $this->endsIn * 86400)));
        }
        if ($this->ended !== null) {
            $query->whereIn('people.id', self::passes()->where('passes.state', 'active')->where('passes.ends_at', '<=', $at)->where('passes.ends_at', '>=', self::stored($now - $this->ended * 86400))->whereNotExists(
                fn (QueryBuilder $q) => $q->from('passes as other')->whereColumn('other.person_id', 'passes.person_id')->whereColumn('other.course_id', 'passes.course_id')
                    ->where('other.state', 'active')->where('other.starts_at', '<=', $at)->where(fn (QueryBuilder $w) => $w->whereNull('other.ends_at')->orWhere('other.ends_at', '>', $at)),
            ));
        }
    }

    private static function stored(int $instant): string
    {
        return gmdate('Y-m-d H:i:s', $instant);
    }

    /**
     * @param  Builder<Person>  $query
     * @param  list<string>  $lessons
     */
    private function byProgress(Builder $query, array $lessons): void
    {
        $course = Course::query()->where('key', $this->course)->value('id');
        $finished = DB::table('completions')->selectRaw('count(*)')->whereColumn('completions.person_id', 'people.id')->where('completions.course_id', $course ?? 0)->whereIn('completions.item_key', $lessons);
        $query->whereIn('people.id', self::passes()->where('passes.course_id', $course ?? 0));
        foreach ([['>=', $this->from], ['<=', $this->to]] as [$operator, $percent]) {
            if ($percent !== null) {
                $query->whereRaw("({$finished->toSql()}) * 100 {$operator} ?", [...$finished->getBindings(), $percent * count($lessons)]);
            }
        }
    }

    /**
     * @param  Builder<Person>  $query
     * @param  int  $now  instant
     * @return Builder<Person>
     */
    public function sorted(Builder $query, int $now): Builder
    {
        $at = self::stored($now);
        $first = self::ends(DB::table('passes as ending')->selectRaw('min(ending.ends_at)')->whereColumn('ending.person_id', 'people.id'), 'ending', $at);

        return match ($this->sort) {
            // Those whose passes end first; those for whom nothing ends at the end.
            'ends' => $query->orderByRaw("({$first->toSql()}) nulls last", $first->getBindings())->orderBy('people.id'),
            'seen' => $query->orderByDesc('people.seen_at')->orderBy('people.id'),
            'newest' => $query->orderByDesc('people.id'),
            default => $query->orderBy('people.name')->orderBy('people.id'),
        };
    }

    private static function passes(): QueryBuilder
    {
        // Asked once, not anew for everybody: a list of many thousands stays quick.
        return Pass::query()->toBase()->select('passes.person_id');
    }

    private static function active(string $at): QueryBuilder
    {
        return self::passes()->where('passes.state', 'active')->where('passes.starts_at', '<=', $at)
            ->where(fn (QueryBuilder $q) => $q->whereNull('passes.ends_at')->orWhere('passes.ends_at', '>', $at));
    }
}
