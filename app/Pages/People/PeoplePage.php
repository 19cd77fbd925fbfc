<?php

declare(strict_types=1);

namespace App\Pages\People;

use App\Access\Shelf\CoursePick;
use App\Access\Shelf\OfferPick;
use App\Models\CsvForm;
use App\Pages\People\Lists\PeopleFileRow;
use App\Pages\People\Lists\PersonRow;
use OpenApi\Attributes as OA;

/** People, filtered and sorted, a page of them. */
#[OA\Schema]
final readonly class PeoplePage
{
    /**
     * @param  list<PersonRow>  $people
     * @param  int  $total  that the filter lets through
     * @param  int  $page  from 1
     * @param  int  $pages
     * @param  \stdClass  $filter  as the address has it, text by name
     * @param  list<OfferPick>  $offers
     * @param  list<CoursePick>  $courses
     * @param  list<string>  $labels
     * @param  list<SavedFilterRow>  $segments
     * @param  list<ActUnderWay>  $underWay  what the queue prepares or takes back, and what waits to be done
     * @param  list<PeopleFileRow>  $files  of people, which the one who reads has asked for
     * @param  int  $csvAtOnce  of so many a file is sent at once; of more it is asked for
     * @param  ?string  $csvForm  in which the one who reads is given CSV files; null: as each is usually
     */
    public function __construct(
        #[OA\Property(items: new OA\Items(ref: PersonRow::class))] public array $people,
        #[OA\Property] public int $total,
        #[OA\Property] public int $page,
        #[OA\Property] public int $pages,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public \stdClass $filter,
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
        #[OA\Property(items: new OA\Items(ref: CoursePick::class))] public array $courses,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $labels,
        #[OA\Property(items: new OA\Items(ref: SavedFilterRow::class))] public array $segments,
        #[OA\Property(items: new OA\Items(ref: ActUnderWay::class))] public array $underWay,
        #[OA\Property(items: new OA\Items(ref: PeopleFileRow::class))] public array $files,
        #[OA\Property] public int $csvAtOnce,
        #[OA\Property(enum: CsvForm::class)] public ?string $csvForm,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}
