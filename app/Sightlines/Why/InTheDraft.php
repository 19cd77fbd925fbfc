<?php

declare(strict_types=1);

namespace App\Sightlines\Why;

use App\Access\Plans;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\DraftEdit;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Words\Say;
use App\Words\Sentence;
use SilentKeep\Core\Format\InvalidPlan;

/** Whether what is closed by what is published waits in the draft to be opened, and by which edit. */
final readonly class InTheDraft
{
    /** Edits that are gone back through; of longer drafts it is not told by which. */
    private const MOST = 40;

    public function __construct(private Plans $plans, private Vantages $vantages)
    {
    }

    /** The way out of the draft, tried out on the core: null where there is none, or it is no open item there either. */
    public function wayOut(Course $course, VantagePoint $point, string $item, int $at): ?PossibleFix
    {
        if ($course->draft === null || $course->liveRevision === null || ! $this->opens($course, $course->draft->document, $point, $item, $at)) {
            return null;
        }
        [$number, $of] = $this->edit($course, fn (string $document): bool => $this->opens($course, $document, $point, $item, $at));

        return new PossibleFix('school', Sentence::say('why.in_the_draft.publish'), $number === null ? Sentence::say('why.in_the_draft.waits') : Sentence::say('why.in_the_draft.waits_as', ['number' => $number, 'of' => $of]), WhyLink::rehearsal(Say::text('why.in_the_draft.rehearse')));
    }

    /** The gate of an item that is in the draft alone. */
    public function gate(Course $course, string $item): Gate
    {
        [$number, $of] = $this->edit($course, static fn (string $document): bool => isset(CourseDocument::fromJson($document)->readItems()[$item]));

        return Gate::shut(Say::text('why.in_the_draft.live'), $number === null ? Sentence::say('why.in_the_draft.not_live') : Sentence::say('why.in_the_draft.not_live_as', ['number' => $number, 'of' => $of]), WhyLink::rehearsal(Say::text('why.in_the_draft.rehearse')));
    }

    /**
     * Which of the edits that stand made it so, and has not been taken back by a later one.
     *
     * @param  \Closure(string): bool  $holds  of a document
     * @return array{?int, int} its number from 1, of how many
     */
    private function edit(Course $course, \Closure $holds): array
    {
        $edits = $course->draft?->edits()->whereNull('undone_from')->get(['id', 'draft_id', 'before']) ?? collect();
        $count = $edits->count();
        foreach ($edits->reverse()->take(self::MOST) as $index => $edit) {
            /** @var DraftEdit $edit */
            if (! $holds($edit->before)) {
                return [$index + 1, $count];
            }
        }

        return [null, $count];
    }

    private function opens(Course $course, string $document, VantagePoint $point, string $item, int $at): bool
    {
        try {
            $decider = $this->plans->of(CourseDocument::fromJson($document));
        } catch (InvalidPlan) {
            return false;
        }
        $seen = $this->vantages->stand($course, $decider, [$point])[0] ?? null;
        $position = $decider->course->outline->positionOf($item);

        return $seen !== null && $position !== null && $decider->snapshot($seen->viewer, $at)->standings[$position]->isOpen();
    }
}
