<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Access\Answer;
use App\Access\Plans;
use App\Access\SchoolClock;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Drafts\Rules\RuleTable;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\Person;
use App\Offers\Takers;
use App\Offers\Taking;
use App\Offers\Terms;
use App\Sightlines\Expectations\Expectations;
use App\Sightlines\Expectations\Expected;
use App\Sightlines\Openings;
use App\Sightlines\SightFiles;
use App\Sightlines\Sightlines;
use App\Sightlines\SightlinesGrid;
use App\Sightlines\Vantages\Look;
use App\Sightlines\Vantages\RulesVersion;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\Vantages;
use App\Sightlines\Why\BlindSpots;
use App\Sightlines\Why\CellContext;
use App\Sightlines\Why\FindFixes;
use App\Sightlines\Why\Gate;
use App\Sightlines\Why\Gates;
use App\Sightlines\Why\InTheDraft;
use App\Sightlines\Why\PossibleFix;
use App\Sightlines\Why\PossibleFixes;
use App\Sightlines\Why\WhoGave;
use App\Words\Glyph;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\Samples;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Format\InvalidPlan;

/** Puts together what an administrator asks about what others see, beside the pages themselves. */
final readonly class SightlinesPageBuilder
{
    private const CALENDAR_DAYS_BACK = 60;

    public function __construct(
        private Plans $plans,
        private Sightlines $sightlines,
        private SchoolClock $clock,
        private Vantages $vantages,
        private FindFixes $fixing,
        private Expectations $expectations,
        private SightFiles $files,
        private Terms $terms,
        private Takers $takers,
        private WhoGave $given,
        private InTheDraft $draft,
        private PastWhyCards $past,
    ) {
    }

    /** @return array<array-key, ?string> by offer: why somebody cannot take it; null: they can, and it begins at once */
    private function refusals(Course $course, Answer $answer, ?Person $person): array
    {
        $takings = $this->terms->all(Offer::query()->where('course_id', $course->id)->get(), $answer, $this->takers->of($person, $answer));

        return array_map(fn (Taking $taking): ?string => $taking->renews === null ? $taking->refusal : Say::text('pages.sightlines_page_builder.they_hold_until_when', ['when' => $this->clock->words($taking->renews->until)]), $takings);
    }

    /** Why an item is to a viewer as it is, and what would open it; null where one of them is not there. */
    public function why(Course $course, Look $look, string $item): ?WhyCard
    {
        $document = self::seen($course, $look->see);
        $decider = $this->decider($course, $look->see);
        $seen = $this->vantages->stand($course, $decider, $look->points ?? [])[0] ?? null;
        $position = $decider->course->outline->positionOf($item);
        if ($seen === null || $position === null) {
            return $seen === null || $look->see !== RulesVersion::Published ? null : $this->notLive($course, $look, $seen, $item);
        }
        $at = $look->at ?? $this->clock->now();
        $then = $look->see->isLive($course) ? $this->past->of($course, $seen, $document, $item, $at, $course->draft->version ?? 0) : null;
        if ($then !== null) {
            return $then;
        }
        $answer = $this->plans->ask($decider, $seen->viewer, $at);
        $decision = $answer->decisions()[$position];
        $cell = new CellContext($answer, $document, $this->clock);
        $gates = (new Gates($cell))->of($position);
        $ways = $decision->state === State::Open ? [] : [
            ...self::onlyThere($look->see === RulesVersion::Published ? $this->draft->wayOut($course, $seen->point, $item, $at) : null),
            ...(new PossibleFixes($cell, $this->fixing, fn (): array => $this->refusals($course, $answer, $seen->person)))->of($position, $decision),
        ];

        return $this->card($course, $look, $seen, $cell, $position, $decision, $gates, $ways);
    }

    /** @return list<PossibleFix> */
    private static function onlyThere(?PossibleFix $way): array
    {
        return $way === null ? [] : [$way];
    }

    /**
     * @param  list<Gate>  $gates
     * @param  list<PossibleFix>  $ways
     */
    private function card(Course $course, Look $look, SeenFrom $seen, CellContext $cell, int $position, Decision $decision, array $gates, array $ways): WhyCard
    {
        $plan = ($seen->offer ?? null)?->plan->name ?? $cell->decider->course->mainPlan?->name;
        $rules = new RuleTable($cell->document, null, $plan, $this->clock->year(), $this->plans->schoolLetsGuestsIn(), fn (): Samples => $this->plans->of($cell->document)->prepared->samples);
        $shut = count(array_filter($gates, static fn (Gate $gate): bool => ! $gate->passed));
        $item = $cell->key($position);

        return new WhyCard(
            item: $item,
            version: $course->draft->version ?? 0,
            glyph: Glyph::of($decision)->value,
            look: Glyph::looksOnly($decision),
            word: ucfirst(Glyph::of($decision)->word()),
            summary: $decision->state === State::Open ? self::openBy($decision->via) : self::shut($shut),
            otherwise: $this->otherwise($course, $look, $item, $decision, $cell->at),
            why: array_map(static fn (Reason $reason): string => $reason->value, $decision->why),
            gates: $gates,
            given: $seen->person === null ? [] : $this->given->of($cell, $position, $course, $seen->person),
            intro: $decision->state === State::Open ? null : self::intro($ways),
            ways: $ways,
            blind: (new BlindSpots($this->fixing))->of($cell),
            rule: $rules->rows()[$position],
            plan: $plan,
            expected: $this->expectations->ofCell($course, $cell->decider, $seen->point, $item),
        );
    }

    private static function shut(int $gates): string
    {
        return $gates === 1 ? Say::text('pages.sightlines_page_builder.one_gate_is_shut') : Say::text('pages.sightlines_page_builder.shut_gates_are_shut', ['shut' => $gates]);
    }

    /** Of an item that is in the draft alone: as it will be there, with what is in the way now. */
    private function notLive(Course $course, Look $look, SeenFrom $point, string $item): ?WhyCard
    {
        $draft = $this->why($course, new Look($look->at, $look->points, RulesVersion::Draft), $item);
        if ($draft === null) {
            return null;
        }
        $gate = $this->draft->gate($course, $item);
        $ways = self::onlyThere($this->draft->wayOut($course, $point->point, $item, $look->at ?? $this->clock->now()));
        $otherwise = $ways === [] ? Sentence::say('pages.sightlines_page_builder.once_published', ['word' => lcfirst($draft->word)]) : null;

        return $draft->notLive(Glyph::Hidden->value, ucfirst(Glyph::Hidden->word()), self::shut(1), $otherwise, $gate, self::intro($ways), $ways);
    }

    /** @return list<Expected> what is expected of the course, by the rules that are looked at, as of now */
    public function expected(Course $course, Look $look): array
    {
        return $this->expectations->check($course, $this->decider($course, $look->see));
    }

    /** What somebody is told by the rules that are not looked at, where they differ: a draft is nothing to those who learn, and soon it is. */
    private function otherwise(Course $course, Look $look, string $item, Decision $decision, int $at): ?Sentence
    {
        if ($course->draft === null || $course->liveRevision === null) {
            return null;
        }
        $other = $look->see === RulesVersion::Published ? RulesVersion::Draft : RulesVersion::Published;
        $said = $other === RulesVersion::Draft ? 'once_published' : 'as_published';
        $decider = $this->decider($course, $other);
        $seen = $this->vantages->stand($course, $decider, $look->points ?? [])[0] ?? null;
        $position = $decider->course->outline->positionOf($item);
        if ($seen === null || $position === null) {
            return Sentence::say("pages.sightlines_page_builder.{$said}_gone");
        }
        $there = $this->plans->ask($decider, $seen->viewer, $at)->decisions()[$position];
        [$is, $opens] = [Glyph::of($there), $there->next?->state === State::Open ? $there->next->at : null];
        if ($is === Glyph::of($decision) && $opens === ($decision->next?->state === State::Open ? $decision->next->at : null) && Glyph::looksOnly($there) === Glyph::looksOnly($decision)) {
            return null;
        }

        return $is === Glyph::Later && $opens !== null
            ? Sentence::say("pages.sightlines_page_builder.{$said}_later", ['when' => $this->clock->words($opens)])
            : Sentence::say("pages.sightlines_page_builder.{$said}", ['word' => $is->word()]);
    }

    /** Null where nobody is there. */
    public function calendar(Course $course, Look $look): ?string
    {
        $decider = $this->decider($course, $look->see);
        $seen = $this->vantages->stand($course, $decider, array_slice($look->points ?? [], 0, 1))[0] ?? null;

        return $seen === null ? null : $this->files->calendar($decider, $seen, $this->clock->now() - self::CALENDAR_DAYS_BACK * 86400, self::revised($course), max($course->draft->version ?? 0, $course->last_draft_version));
    }

    /** When its rules were last set or published. */
    private static function revised(Course $course): int
    {
        return max($course->liveRevision?->published_at->getTimestamp() ?? 0, (int) $course->draft?->updated_at?->getTimestamp());
    }

    /** @return list<list<string>> */
    public function csv(Course $course, Look $look): array
    {
        $decider = $this->decider($course, $look->see);
        $points = array_slice($look->points ?? $this->vantages->usual($decider), 0, Vantages::MOST);

        return $this->files->grid($course, $decider, $this->vantages->stand($course, $decider, $points), $look->at ?? $this->clock->now(), $look->see->isLive($course));
    }

    /**
     * What an edit of the draft would move for a viewer. Nothing is saved.
     *
     * @param  list<string>  $edited  keys of the rows that it sets
     *
     * @throws CannotEdit
     * @throws InvalidPlan
     */
    public function movedDates(Course $course, Look $look, Edit $edit, array $edited): MovedDates
    {
        $document = self::seen($course, RulesVersion::Draft);
        $after = $document->copy();
        $edit->applyTo($after);
        $now = $this->plans->of($document);
        $then = $this->plans->of($after);
        $seen = $this->vantages->stand($course, $now, $look->points ?? [])[0] ?? null;
        $stands = $this->vantages->stand($course, $then, $look->points ?? [])[0] ?? null;

        return new MovedDates($seen === null || $stands === null ? [] : (new Openings($this->clock))->moved($now, $seen, $then, $stands, $edited));
    }

    private static function openBy(?Route $via): string
    {
        return match ($via) {
            Route::Staff => Say::text('pages.sightlines_page_builder.as_all_staff'),
            Route::Pass => Say::text('pages.sightlines_page_builder.by_pass_all_gates'),
            Route::Grant => Say::text('pages.sightlines_page_builder.by_what_was_handed'),
            Route::Anyone => Say::text('pages.sightlines_page_builder.as_course_anyone'),
            Route::Sample => Say::text('pages.sightlines_page_builder.as_a_sample'),
            Route::Observer => Say::text('pages.sightlines_page_builder.by_the_observer_door'),
            Route::Guest => Say::text('pages.sightlines_page_builder.by_the_guest_door'),
            null => '',
        };
    }

    /** @param  list<PossibleFix>  $ways */
    private static function intro(array $ways): Sentence
    {
        $byTime = array_filter($ways, static fn (PossibleFix $way): bool => $way->by === 'time') !== [];

        return Sentence::say(match (true) {
            $ways === [] => 'pages.sightlines_page_builder.nothing_that_one_setting',
            $byTime => count($ways) === 1 ? 'pages.sightlines_page_builder.it_opens_by_itself' : 'pages.sightlines_page_builder.opens_by_itself_these',
            count($ways) === 1 => 'pages.sightlines_page_builder.time_alone_will_not',
            default => 'pages.sightlines_page_builder.time_alone_will_not_any',
        });
    }

    /** The grid of Sightlines over time, and with what the Timeline shows besides. */
    public function overTime(Course $course, Look $look, bool $timeline): SightlinesGrid
    {
        $document = self::seen($course, $look->see);
        $live = $look->see === RulesVersion::Both && $course->draft !== null && $course->liveRevision !== null ? $this->plans->live($course) : null;
        $rules = $timeline ? new RuleTable($document, null, null, $this->clock->year(), $this->plans->schoolLetsGuestsIn(), fn (): Samples => $this->plans->of($document)->prepared->samples) : null;

        return $this->sightlines->overTime($course, $this->decider($course, $look->see), $live, $look, $rules);
    }

    /** The rules that are looked at: those of the draft, where there is one and it is not what is published that is wanted. */
    public static function seen(Course $course, RulesVersion $see): CourseDocument
    {
        $live = $course->liveRevision?->document;
        $draft = $course->draft?->document;
        $document = $see === RulesVersion::Published ? $live ?? $draft : $draft ?? $live;

        return CourseDocument::fromJson($document ?? throw new \LogicException('A course has a revision or a draft.'));
    }

    public function decider(Course $course, RulesVersion $see): Decider
    {
        $published = $see === RulesVersion::Published || $course->draft === null ? $this->plans->live($course) : null;

        return $published ?? $this->plans->of(self::seen($course, $see));
    }
}
