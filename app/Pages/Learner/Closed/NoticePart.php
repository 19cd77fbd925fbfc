<?php

declare(strict_types=1);

namespace App\Pages\Learner\Closed;

use App\Learning\PathRow;
use App\Notices\Parts\PartKind;
use App\School\Pictures\ShownPicture;
use OpenApi\Attributes as OA;

/** One part of a notice, as its viewer meets it: nothing that leads nowhere for them. */
#[OA\Schema]
final readonly class NoticePart
{
    /**
     * @param  ?string  $html  of a text, sanitised
     * @param  ?string  $label  of a heading or a button
     * @param  ?string  $href  of a button
     * @param  list<PathRow>  $rows  to be finished, or to be looked at
     */
    public function __construct(
        #[OA\Property(enum: PartKind::class)] public string $kind,
        #[OA\Property] public ?string $html = null,
        #[OA\Property] public ?string $label = null,
        #[OA\Property] public ?string $href = null,
        #[OA\Property(items: new OA\Items(ref: PathRow::class))] public array $rows = [],
        #[OA\Property] public ?ShownPicture $picture = null,
    ) {
    }
}
