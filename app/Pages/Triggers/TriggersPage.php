<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Access\Shelf\CoursePick;
use App\Access\Shelf\OfferPick;
use OpenApi\Attributes as OA;

/** What is done by itself when something comes about. */
#[OA\Schema]
final readonly class TriggersPage
{
    /**
     * @param  list<TriggerRow>  $triggers  by name
     * @param  ?TriggerForm  $open  the one that is worked on
     * @param  list<CoursePick>  $courses  without their rows
     * @param  list<OfferPick>  $offers
     * @param  list<NumberPick>  $forms
     * @param  list<NumberPick>  $outsides  systems of others
     * @param  list<QuizBands>  $bands  of quizzes whose results have names
     * @param  list<string>  $labels  known ones; any other can be typed
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: TriggerRow::class))] public array $triggers,
        #[OA\Property] public ?TriggerForm $open,
        #[OA\Property(items: new OA\Items(ref: CoursePick::class))] public array $courses,
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property(items: new OA\Items(ref: NumberPick::class))] public array $forms,
        #[OA\Property(items: new OA\Items(ref: NumberPick::class))] public array $outsides,
        #[OA\Property(items: new OA\Items(ref: QuizBands::class))] public array $bands,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
