<?php

declare(strict_types=1);

namespace App\Sightlines\Expectations;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Database\Value;
use App\Models\Course;
use App\Models\Expectation;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Vantages\VantageWords;
use App\Words\Glyph;
use App\Words\Say;
use App\Words\Sentence;
use Illuminate\Database\Eloquent\Collection;
use SilentKeep\Core\Compiled\Answers;
use SilentKeep\Core\Compiled\Chronicle;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\State;

/** Checks what is expected of a course against rules that are live, or are to be. */
final readonly class Expectations
{
    public function __construct(private Plans $plans, private Vantages $vantages, private VantageWords $words, private SchoolClock $clock)
    {
    }

    /** Changes whenever one is kept or let go; null: nothing is expected of the course. */
    public function stamp(Course $course): ?string
    {
        $row = Expectation::query()->where('course_id', $course->id)->toBase()->selectRaw('count(*) as count, max(id) as latest, sum(id) as ids')->first();
        $count = $row === null ? 0 : Value::int($row->count);

        return $row === null || $count === 0 ? null : "{$count}.".Value::int($row->latest).'.'.Value::int($row->ids);
    }

    /**
     * @param  ?int  $at  instant at which it is to be so, and at which days are counted; null: now
     * @return list<Expected> in the order in which they were made
     */
    public function check(Course $course, Decider $decider, ?int $at = null): array
    {
        return $this->told($course, $decider, Expectation::query()->with('author:id,name')->where('course_id', $course->id)->orderBy('id')->get(), $at ?? $this->clock->now());
    }

    /**
     * By rules that are to be, with what those that are live break already marked so.
     *
     * @param  ?Decider  $live  null: nothing is
     * @return list<Expected>
     */
    public function against(Course $course, Decider $draft, ?Decider $live, int $at): array
    {
        $expected = $this->check($course, $draft, $at);
        if ($live === null || array_filter($expected, static fn (Expected $one): bool => ! $one->kept) === []) {
            return $expected;
        }
        $broken = [];
        foreach ($this->check($course, $live, $at) as $one) {
            $broken[$one->id] = ! $one->kept;
        }

        return array_map(static fn (Expected $one): Expected => ! $one->kept && ($broken[$one->id] ?? false) ? $one->brokenAlready() : $one, $expected);
    }

    /** @return list<Expected> of one cell */
    public function ofCell(Course $course, Decider $decider, VantagePoint $point, string $item): array
    {
        $expectations = Expectation::query()->with('author:id,name')->where('course_id', $course->id)->where('item_key', $item)->where('vantage', (string) $point)->orderBy('id')->get();

        return $this->told($course, $decider, $expectations, $this->clock->now());
    }

    /**
     * @param  Collection<int, Expectation>  $expectations
     * @return list<Expected>
     */
    private function told(Course $course, Decider $decider, Collection $expectations, int $at): array
    {
        $points = [];
        foreach ($expectations as $expectation) {
            $point = VantagePoint::parse($expectation->vantage);
            if ($point !== null) {
                $points[(string) $point] = $point;
            }
        }
        $standing = [];
        foreach ($points === [] ? [] : $this->vantages->stand($course, $decider, array_values($points), $at) as $seen) {
            $standing[(string) $seen->point] = $seen;
        }
        $chronicles = [];
        $compiled = $this->plans->compiled($decider);
        $told = [];
        foreach ($expectations as $expectation) {
            $seen = $standing[$expectation->vantage] ?? null;
            $chronicle = $seen === null ? [] : $chronicles[$expectation->vantage] ??= (new Chronicle($compiled))->of($seen->viewer, $at);
            $told[] = $this->one($expectation, $decider, $seen, $chronicle);
        }

        return $told;
    }

    /** @param  array<int, Answers>  $chronicle  from the instant on */
    private function one(Expectation $expectation, Decider $decider, ?SeenFrom $seen, array $chronicle): Expected
    {
        $position = $decider->course->outline->positionOf($expectation->item_key);
        $title = $position === null ? $expectation->item_key : $decider->course->outline->items[$position]->title ?? $expectation->item_key;
        $who = $seen === null ? $expectation->vantage : ucfirst($this->words->of($seen, $decider)->name);
        $words = Sentence::say(match ($expectation->must) {
            'open' => 'sightlines.expectations.let_in',
            'never' => 'sightlines.expectations.never_let_in',
            default => 'sightlines.expectations.not_let_in',
        }, titles: ['who' => $who, 'title' => $title]);
        $instead = match (true) {
            $seen === null => Sentence::say('sightlines.expectations.there_no_such_viewer'),
            $position === null => $expectation->must === 'open' ? Sentence::say('sightlines.expectations.row_not_there_any') : null,
            default => $this->instead($expectation->must, $chronicle, $position),
        };

        return new Expected($expectation->id, $expectation->item_key, $expectation->vantage, $words, $instead === null, $instead, $expectation->author->name ?? '');
    }

    /**
     * What comes out where it is not as expected; null: it is.
     *
     * @param  array<int, Answers>  $chronicle
     */
    private function instead(string $must, array $chronicle, int $position): ?Sentence
    {
        foreach ($chronicle as $at => $answers) {
            $decision = $answers->decision($position);
            $open = $decision->state === State::Open;
            if ($must === 'open') {
                $later = $decision->next?->state === State::Open ? Say::text('sightlines.expectations.it_opens_only_when', ['when' => $this->clock->words($decision->next->at)]) : Say::text('sightlines.expectations.it_is_word', ['word' => Glyph::of($decision)->word()]);

                return $open ? null : Sentence::of($later);
            }
            if ($open) {
                return Sentence::of($at === array_key_first($chronicle) ? Say::text('sightlines.expectations.it_is_word', ['word' => Glyph::of($decision)->word()]) : Say::text('sightlines.expectations.it_opens_when', ['when' => $this->clock->words($at)]));
            }
            if ($must === 'closed') {
                return null;
            }
        }

        return null;
    }
}
