<?php

declare(strict_types=1);

namespace App\Keep;

use App\Http\Pages\Keep\EffectCount;
use App\Http\Pages\Keep\KindRow;
use App\Http\Pages\Keep\RehearsalRow;
use App\Keep\Words\Sentence;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Pass;
use App\Models\Person;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person as Somebody;

/** What publishing a draft would do to the people who hold something of the course. */
final readonly class Rehearsal
{
    /** How far the rehearsal looks ahead. */
    public const DAYS = 365;

    /** Titles that are told of each kind of viewer. */
    private const TITLES = 6;

    /** In the order in which they are told: what is lost, what is gained, what moves. */
    private const WORDS = [
        'lose' => 'lose it now', 'pause' => 'lose it for a while', 'lose_work' => 'may look but no longer work', 'shorter' => 'have it for a shorter time',
        'never' => 'would no longer come to it', 'later' => 'come to it later', 'gain' => 'gain it now', 'gain_work' => 'may work, not only look',
        'longer' => 'have it for longer', 'sooner' => 'come to it sooner',
    ];

    private const ONE = [
        'lose' => 'loses now', 'pause' => 'loses for a while', 'lose_work' => 'may no longer work in', 'shorter' => 'has for a shorter time',
        'never' => 'no longer comes to', 'later' => 'comes later to', 'gain' => 'gains now', 'gain_work' => 'may now work in',
        'longer' => 'has for longer', 'sooner' => 'comes sooner to',
    ];

    /** People are loaded in groups of this many, so that memory does not grow with the school. */
    private const GROUP = 500;

    public function __construct(private Plans $plans, private Viewers $viewers)
    {
    }

    /** How many people have something at an instant that a change would take away, put off or make worse. */
    public function losers(Course $course, CourseDocument $before, CourseDocument $after, int $at): int
    {
        $tally = RehearsalTally::none();
        $this->goOn($course, $before, $after, $at, $tally, 0, null);

        return $tally->losers;
    }

    /** How many people a rehearsal looks at. */
    public function count(Course $course): int
    {
        return $this->holders($course)->count();
    }

    /**
     * Looks at people in groups, in the order of their ids, and adds what happens to them to a tally.
     *
     * @param  int  $at  instant of the change
     * @param  int  $from  everybody up to this id is in the tally already
     * @param  ?float  $seconds  after about so long it stops; null: never
     * @return ?int up to which id everybody is in the tally; null once all are
     */
    public function goOn(Course $course, ?CourseDocument $before, CourseDocument $after, int $at, RehearsalTally $tally, int $from, ?float $seconds): ?int
    {
        $start = hrtime(true);
        $before ??= self::nothing($course);
        $impact = new Impact($this->plans->read($before), $this->plans->read($after), $course->key, $at, $at + self::DAYS * 86400);
        while (true) {
            $people = $this->holders($course)->where('people.id', '>', $from)->orderBy('people.id')->limit(self::GROUP)->get();
            $viewers = $this->viewers->ofAll($people->toBase(), (new Collection([$course]))->toBase());
            $tally->add($impact->on($people->map(static fn (Person $person): Somebody => new Somebody((string) $person->id, $viewers[$person->id][$course->id]))));
            if ($people->count() < self::GROUP) {
                return null;
            }
            $from = $people->last()->id ?? $from;
            if ($seconds !== null && (hrtime(true) - $start) / 1e9 >= $seconds) {
                return $from;
            }
        }
    }

    /** In words, for people and for each kind of viewer. */
    public function tell(Course $course, ?CourseDocument $before, CourseDocument $after, int $at, RehearsalTally $tally): RehearsalTold
    {
        $before ??= self::nothing($course);
        $names = Person::query()->whereIn('id', $tally->named())->pluck('name', 'id')->all();
        $title = self::titles($before, $after);
        $rows = [];
        foreach ($tally->items as $item => $counts) {
            $effects = self::counts($counts, $names);
            if ($effects !== []) {
                $rows[] = new RehearsalRow($title((string) $item), $effects);
            }
        }

        return new RehearsalTold($tally->people, self::counts($tally->touched, $names), $rows, $this->kinds($course, $before, $after, $at, $title), $tally->losers);
    }

    private static function nothing(Course $course): CourseDocument
    {
        return new CourseDocument((object) ['key' => $course->key, 'state' => 'draft', 'entry' => 'invite', 'items' => []], []);
    }

    /**
     * @param  array<string, array{int, list<string>}>  $counts
     * @param  array<array-key, mixed>  $names  by id
     * @return list<EffectCount>
     */
    private static function counts(array $counts, array $names): array
    {
        $told = [];
        foreach (self::WORDS as $effect => $words) {
            [$number, $ids] = $counts[$effect] ?? [0, []];
            if ($number > 0) {
                $named = array_map(static fn (string $id): string => is_string($names[$id] ?? null) ? $names[$id] : '', $ids);
                sort($named, SORT_LOCALE_STRING);
                $told[] = new EffectCount($effect, $words, $number, $named);
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
        $kinds = ['A visitor' => Viewers::visitor(), 'A guest' => Viewers::guest(), 'Somebody signed in, without a pass' => Viewers::member()];
        foreach ($plan->courses[$course->key]->offers ?? [] as $offer) {
            $holder = Viewers::holderOf($offer, $at, $plan->zone);
            $kinds['Whoever takes '.($offer->title ?? $offer->key).' then'] = $holder;
            $kinds['An observer of whoever takes '.($offer->title ?? $offer->key).' then'] = Viewers::observerOf($holder);
        }
        $impact = new Impact($this->plans->read($before), $plan, $course->key, $at, $at + self::DAYS * 86400);
        $rows = [];
        foreach ($kinds as $who => $viewer) {
            $lines = [];
            foreach (self::WORDS as $effect => $words) {
                $titles = [];
                foreach ($impact->on([new Somebody($who, $viewer)])->toArray(false)['items'] as $row) {
                    if (($row[$effect] ?? 0) === 1 && is_string($row['item'])) {
                        $titles[] = $title($row['item']);
                    }
                }
                if ($titles !== []) {
                    $more = count($titles) - self::TITLES;
                    $shown = array_slice($titles, 0, self::TITLES);
                    $lines[] = Sentence::of(self::ONE[$effect].': '.implode(', ', array_fill(0, count($shown), '{}')).($more > 0 ? " and {$more} more" : ''), ...$shown);
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
        foreach ([...$before->items(), ...$after->items()] as $item) {
            $titles[is_string($item->key ?? null) ? $item->key : ''] = CourseDocument::titleOf($item);
        }

        return static fn (string $key): string => $titles[$key] ?? $key;
    }

    /** @return Builder<Person> everybody with a pass or a grant of the course */
    private function holders(Course $course): Builder
    {
        return Person::query()->whereNull('role')->where(static fn (Builder $query): Builder => $query
            ->whereExists(Pass::query()->whereColumn('person_id', 'people.id')->where('course_id', $course->id))
            ->orWhereExists(Grant::query()->whereColumn('person_id', 'people.id')->where('course_id', $course->id)));
    }
}
