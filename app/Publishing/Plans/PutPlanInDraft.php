<?php

declare(strict_types=1);

namespace App\Publishing\Plans;

use App\Access\Plans;
use App\Access\SchoolOf;
use App\Database\Value;
use App\Drafts\EditDraft;
use App\Drafts\Edits\PutPlan;
use App\Drafts\MadeEdit;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Person;
use App\Models\PlanDocument;
use App\Words\Say;
use SilentKeep\Core\Format\Fields;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;

/** Puts a plan document of one course in the place of its draft, as one edit that can be undone. What learners see is not touched. */
final readonly class PutPlanInDraft
{
    public function __construct(private EditDraft $edit, private SchoolOf $school, private Plans $plans)
    {
    }

    /**
     * Whether a document would be taken, wherever it is put.
     *
     * @throws InvalidPlan
     */
    public function check(string $json): PlanDocument
    {
        PlanReader::fromJson($json, Value::texts(Offer::query()->pluck('key')));
        $plan = PlanDocument::fromJson($json);
        PlanFits::refuseAnotherSchool($plan, ($this->school)());
        PlanFits::refuseForeignOffers($plan);

        return $plan;
    }

    /**
     * @param  int  $version  of the draft that the author saw; 0 where there was none
     *
     * @throws InvalidPlan if the document is bad, or is not of this course alone
     * @throws \App\Drafts\DraftCollision if somebody else has edited it since
     * @throws \App\Drafts\DraftConflict if what the author saw has been published or thrown away
     */
    public function __invoke(Course $course, int $version, string $json, Person $author): MadeEdit
    {
        $plan = $this->check($json);
        if (count($plan->courses) !== 1 || $plan->courses[0]->read()->key() !== $course->key) {
            throw new InvalidPlan([new Offence('/courses', Say::text('published.put_plan.this_course', ['key' => Fields::describe($course->key)]))]);
        }
        $document = $plan->courses[0];
        $made = ($this->edit)($course, $version, new PutPlan($document), $author, static fn () => PlanFits::makeOffers($document, $course));
        $this->plans->forgetNames();

        return $made;
    }
}
