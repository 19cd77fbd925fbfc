<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Access\Plans;
use App\Access\Viewers;
use App\Database\Value;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Grant;
use App\Models\ObserverTie;
use App\Models\Pass;
use App\Models\Person;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Database\Eloquent\Builder;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person as Somebody;
use SilentKeep\Core\Viewing\Viewer;

/** What publishing a draft would do to the people who hold something of the course. */
final readonly class Rehearsal
{
    /** How far the rehearsal looks ahead. */
    public const DAYS = 365;

    /** Titles that are told of each kind of viewer. */
    private const TITLES = 6;

    /** In the order in which they are told: what is lost, what is gained, what moves. */
    private const EFFECTS = ['lose', 'pause', 'lose_work', 'shorter', 'never', 'later', 'gain', 'gain_work', 'longer', 'sooner'];

    /** People are loaded in groups of this many, so that memory does not grow with the school. */
    private const GROUP = 500;

    public function __construct(private Plans $plans, private Viewers $viewers)
    {
    }

    /** How many a rehearsal looks at: people, and observers with each of their learners. */
    public function of(Proposal $proposal): int
    {
        return $this->holders($proposal->course)->count() + $this->observers($proposal)->count();
    }

    /**
     * Looks at people in groups, in the order of their ids, then at observers, and adds what happens to them to a count.
     *
     * @param  int  $at  instant of the change
     * @param  RehearsalCount  $count  those who are counted already are not looked at again
     * @param  ?float  $seconds  after about so long it stops; null: never
     * @return bool whether all are counted
     */
    public function goOn(Proposal $proposal, int $at, RehearsalCount $count, ?float $seconds): bool
    {
        $start = hrtime(true);
        $before = $proposal->live ?? self::nothing($proposal->course);
        $impact = new Impact($this->plans->read($before), $this->plans->read($proposal->document), $proposal->course->key, $at, $at + self::DAYS * 86400);
        while ($count->phase !== RehearsalCount::DONE) {
            $looked = $count->phase === RehearsalCount::PEOPLE ? $this->lookAtPeople($proposal, $impact, $count) : $this->lookAtObservers($proposal, $impact, $count);
            if ($looked < self::GROUP) {
                $count->next();
            }
            // Stops only behind a whole group: a small school is looked at as a whole, however busy the machine is.
            if ($looked === self::GROUP && $seconds !== null && (hrtime(true) - $start) / 1e9 >= $seconds) {
                break;
            }
        }

        return $count->phase === RehearsalCount::DONE;
    }

    private function lookAtPeople(Proposal $proposal, Impact $impact, RehearsalCount $count): int
    {
        $people = Value::ints($this->holders($proposal->course)->toBase()->where('people.id', '>', $count->lastId)->where('people.id', '<=', $count->upTo ?? PHP_INT_MAX)->orderBy('people.id')->limit(self::GROUP)->pluck('people.id'));
        $count->people->add($impact->on($this->somebodies($people, $proposal->course)));
        $count->lastId = $people === [] ? $count->lastId : max($people);

        return count($people);
    }

    /**
     * @param  list<int>  $people  ids, of nobody who works for the school
     * @return \Generator<Somebody>
     */
    private function somebodies(array $people, Course $course): \Generator
    {
        foreach ($this->viewers->each(array_fill_keys($people, false), $course) as $id => $viewer) {
            yield new Somebody((string) $id, $viewer);
        }
    }

    /** Each observer with each learner: what they see by the one they may not see by the other. */
    private function lookAtObservers(Proposal $proposal, Impact $impact, RehearsalCount $count): int
    {
        $ties = $this->observers($proposal)->with(['observer', 'learner'])->where('observer_ties.id', '>', $count->lastId)->where('observer_ties.id', '<=', $count->upTo ?? PHP_INT_MAX)->orderBy('observer_ties.id')->limit(self::GROUP)->get();
        $people = $ties->flatMap(static fn (ObserverTie $tie): array => [$tie->observer, $tie->learner])->unique('id')->values()->toBase();
        $viewers = $this->viewers->ofAll($people, collect([$proposal->course]));
        $of = static fn (int $person): Viewer => $viewers[$person][$proposal->course->id];
        $count->observers->add($impact->on($ties->map(static fn (ObserverTie $tie): Somebody => new Somebody("{$tie->observer_id} {$tie->learner_id}", Viewers::lookingWith($of($tie->observer_id), $of($tie->learner_id))))));
        $count->lastId = $ties->last()->id ?? $count->lastId;

        return $ties->count();
    }

    /** In words, for people, for observers and for each kind of viewer. */
    public function tell(Proposal $proposal, int $at, RehearsalCount $count): RehearsalTold
    {
        $before = $proposal->live ?? self::nothing($proposal->course);
        $names = self::names([...$count->people->named(), ...$count->observers->named()]);
        $title = self::titles($before, $proposal->document);

        return new RehearsalTold(
            self::counts($count->people->touched, $names), self::rows($count->people, $names, $title),
            self::counts($count->observers->touched, $names), self::rows($count->observers, $names, $title),
            $this->kinds($proposal->course, $before, $proposal->document, $at, $title), $count->losers(),
        );
    }

    /**
     * How many of those who were looked at, and not yet whom.
     *
     * @return list<EffectCount>
     */
    public function soFar(RehearsalCount $count): array
    {
        return array_map(static fn (EffectCount $effect): EffectCount => new EffectCount($effect->effect, $effect->words, $effect->count, [], []), self::counts($count->people->touched, []));
    }

    /**
     * @param  list<string>  $ids  of people, or of an observer and a learner
     * @return array<string, string> by id
     */
    private static function names(array $ids): array
    {
        $people = array_values(array_unique(array_map(intval(...), explode(' ', implode(' ', $ids)))));
        $known = [];
        foreach (array_chunk($people, 1000) as $some) {
            $known += Person::query()->whereIn('id', $some)->pluck('name', 'id')->all();
        }
        $name = static fn (string $id): string => is_string($known[(int) $id] ?? null) ? $known[(int) $id] : '';
        $names = [];
        foreach ($ids as $id) {
            $names[$id] = implode(', with ', array_map($name, explode(' ', $id)));
        }

        return $names;
    }

    /**
     * @param  array<string, string>  $names  by id
     * @param  \Closure(string): string  $title
     * @return list<RehearsalRow>
     */
    private static function rows(RehearsalTally $tally, array $names, \Closure $title): array
    {
        $rows = [];
        foreach ($tally->items as $item => $counts) {
            $effects = self::counts($counts, $names);
            if ($effects !== []) {
                $rows[] = new RehearsalRow((string) $item, $title((string) $item), $effects);
            }
        }

        return $rows;
    }

    private static function nothing(Course $course): CourseDocument
    {
        return new CourseDocument((object) ['key' => $course->key, 'state' => 'draft', 'entry' => 'invite', 'items' => []], []);
    }

    /**
     * @param  array<string, array{int, list<string>}>  $counts
     * @param  array<string, string>  $names  by id
     * @return list<EffectCount>
     */
    private static function counts(array $counts, array $names): array
    {
        $told = [];
        foreach (self::EFFECTS as $effect) {
            [$number, $ids] = $counts[$effect] ?? [0, []];
            if ($number > 0) {
                $ids = array_slice($ids, 0, RehearsalTally::NAMES);
                usort($ids, static fn (string $one, string $other): int => strcoll($names[$one] ?? '', $names[$other] ?? ''));
                $told[] = new EffectCount(
                    $effect, Say::text("published.effects.{$effect}"), $number,
                    array_map(static fn (string $id): string => $names[$id] ?? '', $ids), array_map(intval(...), $ids),
                );
            }
        }

        return $told;
    }

    /**
     * @param  \Closure(string): string  $title
     * @return list<KindRow>
     */
    private function kinds(Course $course, CourseDocument $before, CourseDocument $after, int $at, \Closure $title): array
    {
        $plan = $this->plans->read($after);
        $kinds = [Say::text('published.rehearsal.a_visitor') => Viewers::visitor(), Say::text('published.rehearsal.a_guest') => Viewers::guest(), Say::text('published.rehearsal.somebody_signed_in_without') => Viewers::member()];
        foreach ($plan->courses[$course->key]->offers ?? [] as $offer) {
            $holder = Viewers::holderOf($offer, $at, $plan->zone);
            $kinds[Say::text('published.rehearsal.whoever_takes_title_then', ['title' => $offer->title ?? $offer->key])] = $holder;
            $kinds[Say::text('published.rehearsal.observer_whoever_takes_title', ['title' => $offer->title ?? $offer->key])] = Viewers::observerOf($holder);
        }
        $impact = new Impact($this->plans->read($before), $plan, $course->key, $at, $at + self::DAYS * 86400);
        $rows = [];
        foreach ($kinds as $who => $viewer) {
            $lines = [];
            foreach (self::EFFECTS as $effect) {
                $titles = [];
                foreach ($impact->on([new Somebody($who, $viewer)])->toArray(names: false)['items'] as $row) {
                    if (($row[$effect] ?? 0) === 1 && is_string($row['item'])) {
                        $titles[] = $title($row['item']);
                    }
                }
                if ($titles !== []) {
                    $shown = array_slice($titles, 0, self::TITLES);
                    $lines[] = Sentence::say("published.effects_on_one.{$effect}", ['more' => count($titles) - count($shown)], ['titles' => $shown]);
                }
            }
            if ($lines !== []) {
                $rows[] = new KindRow($who, $lines);
            }
        }

        return $rows;
    }

    /** @return \Closure(string): string */
    private static function titles(CourseDocument $before, CourseDocument $after): \Closure
    {
        $titles = [];
        foreach ([...array_values($before->readItems()), ...array_values($after->readItems())] as $item) {
            $titles[$item->key()] = $item->title();
        }

        return static fn (string $key): string => $titles[$key] ?? $key;
    }

    /** @return Builder<Person> everybody with a pass or a grant of the course */
    private function holders(Course $course): Builder
    {
        return self::holding(Person::query()->whereNull('role'), 'people.id', $course);
    }

    /**
     * Observers of those who hold something of the course; of everybody, where it lets observers in who follow nobody.
     *
     * @return Builder<ObserverTie>
     */
    private function observers(Proposal $proposal): Builder
    {
        $ties = ObserverTie::query()->whereRelation('observer', 'role', null);
        foreach ([$proposal->live, $proposal->document] as $document) {
            if ($document?->letsObserversInWhoFollowNobody() === true) {
                return $ties;
            }
        }

        return self::holding($ties, 'observer_ties.learner_id', $proposal->course);
    }

    /**
     * @template T of Person|ObserverTie
     *
     * @param  Builder<T>  $query
     * @return Builder<T>
     */
    private static function holding(Builder $query, string $person, Course $course): Builder
    {
        return $query->where(static fn (Builder $query): Builder => $query
            ->whereExists(Pass::query()->whereColumn('person_id', $person)->where('course_id', $course->id))
            ->orWhereExists(Grant::query()->whereColumn('person_id', $person)->where('course_id', $course->id)));
    }
}
