<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Sets what passes of an offer open, and adds the offer where the course has none of its key. */
final readonly class SetOffer implements Edit
{
    /**
     * @param  ?string  $tier  null: none
     * @param  ?string  $plan  null: all at once
     * @param  ?list<string>  $scope  item keys; null: the whole course
     * @param  ?\stdClass  $lasts  as the plan format has it; null: for good
     * @param  list<string>  $labels  that its holders have while a pass of it is active
     */
    public function __construct(private string $key, private string $title, private ?string $tier, private ?string $plan, private ?array $scope, private ?\stdClass $lasts, private array $labels = [])
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($document->offers as $offer) {
            if (($offer->key ?? null) === $this->key) {
                $this->set($offer);

                return;
            }
        }
        $course = $document->course->key ?? null;
        $offer = (object) ['key' => $this->key, 'course' => is_string($course) ? $course : '', 'title' => $this->title];
        $this->set($offer);
        $document->add($offer);
    }

    private function set(\stdClass $offer): void
    {
        foreach (['tier' => $this->tier, 'plan' => $this->plan, 'scope' => $this->scope, 'lasts' => $this->lasts, 'labels' => $this->labels === [] ? null : $this->labels] as $field => $value) {
            if ($value === null) {
                unset($offer->{$field});
            } elseif (json_encode($offer->{$field} ?? null) !== json_encode($value)) {
                $offer->{$field} = $value;
            }
        }
    }

    public function toArray(): array
    {
        return ['set' => 'offer', 'offer' => $this->key, 'tier' => $this->tier, 'plan' => $this->plan, 'scope' => $this->scope, 'lasts' => $this->lasts, 'labels' => $this->labels];
    }

    public function pointer(): string
    {
        return '/offers';
    }
}
