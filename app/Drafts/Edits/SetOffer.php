<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;
use App\Models\Document\DocumentLasts;
use App\Models\Document\WritableOffer;

/** Sets what passes of an offer open, and adds the offer where the course has none of its key. */
final readonly class SetOffer implements Edit
{
    /**
     * @param  ?string  $tier  null: none
     * @param  ?string  $plan  null: all at once
     * @param  ?list<string>  $scope  item keys; null: the whole course
     * @param  ?DocumentLasts  $lasts  null: for good
     * @param  list<string>  $labels  that its holders have while a pass of it is active
     */
    public function __construct(private string $key, private string $title, private ?string $tier, private ?string $plan, private ?array $scope, private ?DocumentLasts $lasts, private array $labels = [])
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($document->editOffers() as $offer) {
            if ($offer->key() === $this->key) {
                $this->set($offer);

                return;
            }
        }
        $offer = WritableOffer::make($this->key, $document->read()->key(), $this->title);
        $this->set($offer);
        $document->add($offer);
    }

    private function set(WritableOffer $offer): void
    {
        foreach (['tier' => $this->tier, 'plan' => $this->plan, 'scope' => $this->scope, 'lasts' => $this->lasts, 'labels' => $this->labels === [] ? null : $this->labels] as $field => $value) {
            $offer->set($field, $value);
        }
    }

    public function toArray(): array
    {
        return ['set' => 'offer', 'offer' => $this->key, 'tier' => $this->tier, 'plan' => $this->plan, 'scope' => $this->scope, 'lasts' => $this->lasts?->raw(), 'labels' => $this->labels];
    }

    public function pointer(): string
    {
        return '/offers';
    }
}
