<?php

declare(strict_types=1);

namespace App\Pages\Rehearsal;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Drafts\DraftedContent;
use App\Models\Course;
use App\Models\Draft;
use App\Models\Person;
use App\Pages\Courses\CourseHeadBuilder;
use App\Pages\Courses\RetirementTold;
use App\Publishing\LabelsElsewhere;
use App\Publishing\Proposal;
use App\Publishing\Rehearsal;
use App\Publishing\RehearsalRuns;
use App\Publishing\Rehearsing;
use App\Publishing\Seen\Receipt;
use App\Publishing\TouchedPeople;
use App\Sightlines\Expectations\Expectations;
use App\Sightlines\Expectations\Expected;
use App\Words\Differences;
use App\Words\RuleWords;
use App\Words\Say;

/** What publishing the draft, or going back, would do, as its page shows it. */
final readonly class RehearsalPageBuilder
{
    public function __construct(private CourseHeadBuilder $heads, private Plans $plans, private SchoolClock $clock, private Rehearsal $rehearsal, private Rehearsing $rehearsing, private Expectations $expectations, private LabelsElsewhere $elsewhere, private GivenUpRows $givenUp)
    {
    }

    /**
     * What a rehearsal is of: the draft, or an earlier revision that is to be live again. Null where nothing waits to be
     * published.
     */
    private function proposal(Course $course, ?int $back): ?Proposal
    {
        if ($back !== null) {
            $earlier = $course->revisions()->where('number', $back)->first();
            $proposal = $earlier === null ? null : Proposal::backTo($course, $earlier);
        } else {
            $proposal = $course->draft === null ? null : Proposal::draft($course, $course->draft);
        }

        return $proposal === null || $proposal->saysNothingNew() ? null : $proposal;
    }

    /**
     * Null where nothing waits to be published.
     *
     * @param  ?int  $back  number of the revision that is to be live again; null: the draft
     * @param  ?int  $setFor  instant for which the publication may be set; null: at once
     * @param  bool  $anew  though a long one may be finished already
     */
    public function page(Course $course, ?int $back, ?int $setFor, bool $anew, Person $reader, bool $mayEdit): ?RehearsalPage
    {
        $proposal = $this->proposal($course, $back);
        if ($proposal === null) {
            return null;
        }
        $run = $this->rehearsing->look($proposal, $setFor, $anew);
        [$at, $finished, $count] = [$run->instant->getTimestamp(), $run->finished_at !== null, RehearsalRuns::countOf($run)];
        $told = $finished ? $this->rehearsal->tell($proposal, $at, $count) : null;

        return new RehearsalPage(
            course: $this->heads->of($course, $this->plans->named($proposal->document)),
            back: $back,
            changes: [...Differences::between($proposal->live === null ? null : $this->plans->named($proposal->live), $this->plans->named($proposal->document))->sentences, ...$proposal->contentsTold()],
            elsewhere: $this->elsewhere($proposal),
            with: [...RetirementTold::of($proposal), ...self::contentsStay($proposal)],
            editors: $proposal->draft === null ? [] : self::editors($proposal->draft),
            finished: $finished,
            looked: $run->looked,
            people: $count->people->people,
            observers: $count->observers->people,
            of: $run->of,
            setFor: $setFor === null ? null : $this->clock->wall($setFor),
            atWords: $this->clock->words($at),
            madeAtWords: $this->clock->words($run->made_at->getTimestamp()),
            kept: $run->exists,
            untilWords: $this->clock->date($at + Rehearsal::DAYS * 86400),
            totals: $told->totals ?? $this->rehearsal->soFar($count),
            rows: $told->rows ?? [],
            observerTotals: $told->observerTotals ?? [],
            observerRows: $told->observerRows ?? [],
            kinds: $told->kinds ?? [],
            expected: $this->expected($proposal, $at),
            givenUp: $back === null ? $this->givenUp->of($course) : [],
            losers: $told->losers ?? 0,
            receipt: $finished && $mayEdit ? Receipt::of($proposal, $setFor, $run->made_at->getTimestamp(), $reader) : null,
            mayEdit: $mayEdit,
        );
    }

    /** @return list<Expected> */
    private function expected(Proposal $proposal, int $at): array
    {
        return $this->expectations->against($proposal->course, $this->plans->of($proposal->document), $proposal->live === null ? null : $this->plans->of($proposal->live), $at);
    }

    /** @return list<string> what lessons hold that went live with what is taken back, and is not taken back with it */
    private static function contentsStay(Proposal $proposal): array
    {
        $titles = $proposal->earlier === null ? [] : DraftedContent::before($proposal->course, $proposal->earlier)[1];

        return $titles === [] ? [] : [Say::text('wording.contents.stays', ['count' => count($titles), 'titles' => RuleWords::enumeration($titles, 'and')])];
    }

    /** @return list<string> */
    private function elsewhere(Proposal $proposal): array
    {
        $lines = [];
        foreach ($this->elsewhere->touchedBy($proposal) as $label => $courses) {
            $lines[] = Say::text('publishing.elsewhere', ['label' => (string) $label, 'courses' => RuleWords::enumeration($courses, 'and')]);
        }

        return $lines;
    }

    /**
     * Whom a rehearsal touches in one way, all of them. Null where nothing waits to be published, or it is not finished.
     *
     * @param  ?string  $item  key; null: in all
     */
    public function touched(Course $course, ?int $back, ?int $setFor, string $effect, ?string $item, bool $observers): ?TouchedPeople
    {
        $proposal = $this->proposal($course, $back);
        $run = $proposal === null ? null : $this->rehearsing->look($proposal, $setFor);
        if ($run?->finished_at === null) {
            return null;
        }
        $count = RehearsalRuns::countOf($run);

        return TouchedPeople::of($observers ? $count->observers : $count->people, $effect, $item);
    }

    /** How far a long rehearsal has come; it is begun where nobody has asked for it yet. Null where nothing waits to be published. */
    public function progress(Course $course, ?int $back, ?int $setFor): ?RehearsalProgress
    {
        $proposal = $this->proposal($course, $back);
        if ($proposal === null) {
            return null;
        }
        $run = $this->rehearsing->begin($proposal, $setFor);

        return new RehearsalProgress($run->looked, $run->of, $run->finished_at !== null, $this->rehearsal->soFar(RehearsalRuns::countOf($run)));
    }

    /** @return list<string> who made the edits that stand, with how many */
    private static function editors(Draft $draft): array
    {
        $counts = [];
        foreach ($draft->edits()->whereNull('undone_from')->with('author:id,name')->get(['id', 'draft_id', 'author_id']) as $edit) {
            $name = $edit->author->name ?? Say::text('pages.rehearsal_page_builder.the_program');
            $counts[$name] = ($counts[$name] ?? 0) + 1;
        }

        return array_map(static fn (string $name, int $count): string => $name.($count === 1 ? ', 1 edit' : Say::text('pages.rehearsal_page_builder.count_edits', ['count' => $count])), array_map(strval(...), array_keys($counts)), array_values($counts));
    }
}
