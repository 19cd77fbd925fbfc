<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\FoundPerson;
use App\Access\SchoolClock;
use App\Access\Shelf\CoursePick;
use App\Access\Shelf\CourseShelf;
use App\Access\Shelf\OutlineRow;
use App\Database\Value;
use App\Ledger\Past\Moment;
use App\Ledger\Past\Past;
use App\Ledger\Past\PastLooker;
use App\Ledger\Past\Ties;
use App\Ledger\Story\Story;
use App\Models\Completion;
use App\Models\Course;
use App\Models\Grant;
use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\Sightlines\Why\CellContext;
use App\Sightlines\Why\Gates;
use App\Words\Glyph;
use App\Words\Say;
use App\Words\Sentence;

/** Tells what was open to somebody, when, and why. */
final readonly class PastPageBuilder
{
    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private Past $past, private Story $story, private EntryWords $words, private SeenTurns $seen)
    {
    }

    /**
     * @param  string  $key  of the course; any other text: the one that is most theirs
     * @param  ?int  $with  the learner with whom they are shown looking in
     * @param  bool  $named  false: other people are told of and not named
     */
    public function page(Person $person, string $key, ?int $with, bool $named = true): PastPage
    {
        $picks = $this->picks($person);
        $course = self::course($picks, $key);
        $learners = Person::query()->whereIn('id', Ties::learnersOf($person->id))->orderBy('name')->orderBy('id')->get();
        $with = $learners->contains('id', $with) ? $with : null;
        $now = $this->clock->now();
        $telling = new Telling($this->clock, $this->words, Hands::of(array_values(array_filter([$person->id, $with])), $course->id ?? 0, $named), $course === null ? [] : array_map(static fn (OutlineRow $row): PastRow => new PastRow($row->key, $row->title, $row->kind, $row->depth, former: false), $this->shelf->rows($course->id)), self::offers(), $person->id);
        $turns = [];
        foreach ($course === null ? [] : $this->story->of($course, new PastLooker($person->id, observed: $with), $now) as $turn) {
            $turns[] = $telling->turn($turn);
        }
        $turns = self::inOrder([...array_values(array_filter($turns)), ...$this->seen->of($person, $course, $telling->places(), $turns === [] ? null : $turns[0]?->at)]);
        $from = $turns[0]->at ?? $now;
        $whole = Past::wholeSince();

        return new PastPage(
            id: $person->id,
            name: $person->name,
            courses: $picks,
            course: $course?->key,
            from: $from,
            now: $now,
            wholeSince: $whole > $from ? $this->clock->words($whole) : null,
            observes: array_values($learners->map(static fn (Person $one): FoundPerson => new FoundPerson($one->id, $one->name, ''))->all()),
            with: $with,
            rows: $telling->rows(),
            turns: $turns,
            reasons: $telling->reasons(),
            offsets: $this->clock->offsets(),
            zoneName: $this->clock->zoneName(),
        );
    }

    /**
     * Null where the course was not published, or had no such row.
     *
     * @param  ?int  $at  null: now
     */
    public function why(Person $person, string $key, string $item, ?int $at, ?int $with): ?PastWhy
    {
        $course = self::course($this->picks($person), $key);
        $looker = new PastLooker($person->id, observed: $with);
        $at ??= $this->clock->now();
        $told = $course === null ? null : $this->past->andKnownNow($course, $looker, new Moment($at));
        if ($course === null || $told === null) {
            return null;
        }
        [$then, $known, $entries] = $told;
        $position = $then->answer->decider->course->outline->positionOf($item);
        if ($position === null) {
            return null;
        }
        $decision = $then->answer->decisions()[$position];
        $glyph = Glyph::of($decision);
        $now = $known === null ? null : $known->answer->decisions()[$position];
        $what = [];
        $offers = $known === null ? [] : self::offers();
        $hands = Hands::of($known === null ? [] : $looker->people(), $course->id, named: true);
        foreach ($known === null ? [] : $entries as $entry) {
            $what[] = $this->words->of($entry, null, $offers, $hands, $person->id, $then);
        }

        return new PastWhy(
            $glyph->value, Glyph::looksOnly($decision), $glyph->word(),
            (new Gates(new CellContext($then->answer, $then->document, $this->clock->stoppedAt($at))))->of($position),
            Say::text('past_told.rules', ['number' => $then->revision]),
            $now === null || [$now->state, $now->act] === [$decision->state, $decision->act] ? null : Sentence::of(Say::text('past_told.known_now', [
                'state' => Glyph::of($now)->word(), 'what' => implode(' ', array_map(static fn (Sentence $one): string => $one->marked(), array_filter($what))),
            ])),
        );
    }

    /**
     * @param  list<PastTurn>  $turns
     * @return list<PastTurn>
     */
    private static function inOrder(array $turns): array
    {
        usort($turns, static fn (PastTurn $one, PastTurn $other): int => $one->at <=> $other->at);
        $told = [];
        foreach ($turns as $turn) {
            // What was seen in the very second is told with it.
            $same = $told[$turn->at] ?? null;
            $told[$turn->at] = $same === null ? $turn : new PastTurn($turn->at, $turn->when, [...$same->lines, ...$turn->lines], [...$same->opened, ...$turn->opened], [...$same->shut, ...$turn->shut], [...$same->changes, ...$turn->changes], [...$same->about, ...$turn->about]);
        }

        return array_values($told);
    }

    /** @return array<int, string> names by number */
    private static function offers(): array
    {
        return Offer::query()->pluck('name', 'id')->map(Value::text(...))->all();
    }

    /** @param  list<CoursePick>  $picks */
    private static function course(array $picks, string $key): ?Course
    {
        $key = in_array($key, array_map(static fn (CoursePick $pick): string => $pick->key, $picks), true) ? $key : ($picks[0]->key ?? null);

        return $key === null ? null : Course::query()->where('key', $key)->first();
    }

    /** @return list<CoursePick> those that they have something of first */
    private function picks(Person $person): array
    {
        $theirs = [];
        foreach ([Pass::query()->orderByDesc('id'), Grant::query()->orderByDesc('id'), Completion::query()->orderByDesc('id')] as $rows) {
            array_push($theirs, ...Value::ints($rows->where('person_id', $person->id)->pluck('course_id')->unique()));
        }
        $keys = array_map(fn (int $id): string => $this->shelf->course($id)->key ?? '', array_values(array_unique($theirs)));
        $picks = $this->shelf->picks();
        usort($picks, static fn (CoursePick $one, CoursePick $other): int => self::rank($keys, $one) <=> self::rank($keys, $other));

        return $picks;
    }

    /** @param  list<string>  $keys */
    private static function rank(array $keys, CoursePick $pick): int
    {
        $place = array_search($pick->key, $keys, true);

        return $place === false ? count($keys) : (int) $place;
    }
}
