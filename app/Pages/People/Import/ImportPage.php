<?php

declare(strict_types=1);

namespace App\Pages\People\Import;

use App\Access\Shelf\OfferPick;
use OpenApi\Attributes as OA;

/** A file of people that is being brought in. */
#[OA\Schema]
final readonly class ImportPage
{
    /**
     * @param  string  $kind  csv or oneroster
     * @param  list<string>  $head  names of the columns, or titles of the classes
     * @param  list<string>  $keys  of the classes, in their order; empty for CSV
     * @param  array<string, int|null>  $columns  the column of each field, as guessed or as said
     * @param  string  $offer  for rows that name none
     * @param  ?AmbiguousDate  $dates  one of the file that could be two days; null: none is in sight
     * @param  ?string  $problem  why it could not be brought in
     * @param  list<ImportOutcome>  $rows  the first that were read
     * @param  list<string>  $outcomes  counts in words
     * @param  list<string>  $errors  by line
     * @param  list<string>  $passed  rows of which nothing is done, by line
     * @param  list<OfferPick>  $offers
     * @param  ?int  $canBeTakenBack  for so many days after it was brought in; null: it cannot
     * @param  bool  $endingsLeft  by choice, nothing ends by it
     * @param  object  $classes  keys of offers by class, as was said
     * @param  string  $labels  for everybody, as was said
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['csv', 'oneroster'])] public string $kind,
        #[OA\Property] public string $name,
        #[OA\Property] public string $state,
        #[OA\Property] public int $read,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $head,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $keys,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer', nullable: true))] public array $columns,
        #[OA\Property] public string $offer,
        #[OA\Property] public ?AmbiguousDate $dates,
        #[OA\Property] public ?string $problem,
        #[OA\Property(items: new OA\Items(ref: ImportOutcome::class))] public array $rows,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $outcomes,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $errors,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $passed,
        #[OA\Property(items: new OA\Items(ref: OfferPick::class))] public array $offers,
        #[OA\Property] public ?int $canBeTakenBack,
        #[OA\Property] public bool $endingsLeft,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))] public object $classes,
        #[OA\Property] public string $labels,
    ) {
    }
}
