<?php

declare(strict_types=1);

namespace App\Drafts\Plans;

use App\Drafts\Edits\CannotEdit;
use App\Drafts\Edits\Edit;
use App\Models\CourseDocument;

/** Says which release plan paces an offer, or is the main one: that of everybody without a pass. */
final readonly class SetPace implements Edit
{
    /**
     * @param  ?string  $offer  null: the main plan of the course
     * @param  ?string  $plan  null: all at once
     */
    public function __construct(private ?string $offer, private ?string $plan)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        if ($this->plan !== null) {
            PlanList::of($document)->get($this->plan);
        }
        if ($this->offer === null) {
            $document->edit()->set('main_plan', $this->plan);

            return;
        }
        foreach ($document->editOffers() as $offer) {
            if ($offer->key() === $this->offer) {
                $offer->set('plan', $this->plan);

                return;
            }
        }
        throw CannotEdit::noSuchOffer($this->offer);
    }

    public function toArray(): array
    {
        return ['pace' => $this->offer, 'plan' => $this->plan];
    }

    public function pointer(): string
    {
        return '/courses/0/main_plan';
    }
}
