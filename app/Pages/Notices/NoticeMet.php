<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\Met\DoorCount;
use App\Notices\NoticeCase;
use App\Pages\Learner\Closed\NoticePage;
use OpenApi\Attributes as OA;

/** The notice that a vantage meets at a row, as it meets it, and where its words come from. */
#[OA\Schema]
final readonly class NoticeMet
{
    /**
     * @param  string  $who  meets it, in words
     * @param  ?NoticePage  $notice  null where they are sent elsewhere
     * @param  ?string  $sentTo  an address; empty: to sign in
     * @param  list<NoticeMetLevel>  $levels  the most specific first
     * @param  DoorCount  $count  of this door, for whoever meets it so
     */
    public function __construct(
        #[OA\Property(enum: NoticeCase::class)] public string $case,
        #[OA\Property] public string $who,
        #[OA\Property] public ?NoticePage $notice,
        #[OA\Property] public ?string $sentTo,
        #[OA\Property(items: new OA\Items(ref: NoticeMetLevel::class))] public array $levels,
        #[OA\Property] public DoorCount $count,
    ) {
    }
}
