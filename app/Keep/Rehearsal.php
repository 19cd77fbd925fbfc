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
use Illuminate\Database\Eloquent\Collection;
use SilentKeep\Core\Foresight\Effect;
use SilentKeep\Core\Foresight\Impact;
use SilentKeep\Core\Foresight\Person as Somebody;

/** What publishing a draft would do to the people who hold something of the course. */
final readonly class Rehearsal
{
    /** How far the rehearsal looks ahead. */
    public const DAYS = 365;

    /** Names that are told of each number. */
    private const NAMES = 40;

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

    /**
     * @param  int  $at  instant of the change
     * @return array{people: int, items: list<array<string, string|int|list<string>>>, touched: array<string, int|list<string>>} with the ids of people
     */
    public function impact(Course $course, CourseDocument $before, CourseDocument $after, int $at): array
    {
        $impact = new Impact($this->plans->read($before), $this->plans->read($after), $course->key, $at, $at + self::DAYS * 86400);

        return $impact->on($this->people($course))->toArray(true);
    }

    /** In words, for people and for each kind of viewer. */
    public function tell(Course $course, ?CourseDocument $before, CourseDocument $after, int $at): RehearsalTold
    {
        $nothing = $before ?? new CourseDocument((object) ['key' => $course->key, 'state' => 'draft', 'entry' => 'invite', 'items' => []], []);
        $impact = $this->impact($course, $nothing, $after, $at);
        $ids = [];
        foreach ([$impact['touched'], ...$impact['items']] as $row) {
            foreach (Effect::cases() as $effect) {
                $of = $row[$effect->value] ?? [];
                array_push($ids, ...array_slice(is_array($of) ? $of : [], 0, self::NAMES));
            }
        }
        $names = Person::query()->whereIn('id', array_values(array_unique($ids)))->pluck('name', 'id')->all();
        $title = self::titles($nothing, $after);
        $rows = [];
        foreach ($impact['items'] as $row) {
            $effects = self::counts($row, $names);
            if ($effects !== [] && is_string($row['item'])) {
                $rows[] = new RehearsalRow($title($row['item']), $effects);
            }
        }

        return new RehearsalTold($impact['people'], self::counts($impact['touched'], $names), $rows, $this->kinds($course, $nothing, $after, $at, $title), self::losers($impact['touched']));
    }

    /**
     * @param  array<string, string|int|list<string>>  $row  ids by effect
     * @param  array<array-key, mixed>  $names  by id
     * @return list<EffectCount>
     */
    private static function counts(array $row, array $names): array
    {
        $counts = [];
        foreach (self::WORDS as $effect => $words) {
            $of = $row[$effect] ?? [];
            if (is_array($of) && $of !== []) {
                $told = array_map(static fn (string $id): string => is_string($names[$id] ?? null) ? $names[$id] : '', array_slice($of, 0, self::NAMES));
                sort($told, SORT_LOCALE_STRING);
                $counts[] = new EffectCount($effect, $words, count($of), $told);
            }
        }

        return $counts;
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
            $kinds['Whoever takes '.($offer->title ?? $offer->key).' today'] = Viewers::holderOf($offer, $at, $plan->zone);
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

    /**
     * How many people have something now that this takes away, for good or for a while, or makes worse.
     *
     * @param  array<string, int|list<string>>  $touched
     */
    public static function losers(array $touched): int
    {
        $ids = [];
        foreach ([Effect::Lose, Effect::Pause, Effect::LoseWork, Effect::Shorter, Effect::Later, Effect::Never] as $effect) {
            $of = $touched[$effect->value] ?? [];
            $ids = [...$ids, ...(is_array($of) ? $of : [])];
        }

        return count(array_unique($ids));
    }

    /** @return \Generator<int, Somebody> everybody with a pass or a grant of the course */
    private function people(Course $course): \Generator
    {
        $ids = Pass::query()->where('course_id', $course->id)->distinct()->pluck('person_id')
            ->merge(Grant::query()->where('course_id', $course->id)->distinct()->pluck('person_id'))->unique()->sort()->values();
        foreach ($ids->chunk(self::GROUP) as $group) {
            $people = Person::query()->whereIn('id', $group)->whereNull('role')->orderBy('id')->get();
            $viewers = $this->viewers->ofAll($people->toBase(), (new Collection([$course]))->toBase());
            foreach ($people as $person) {
                yield new Somebody((string) $person->id, $viewers[$person->id][$course->id]);
            }
        }
    }
}
