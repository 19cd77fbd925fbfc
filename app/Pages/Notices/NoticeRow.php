<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Notices\Parts\Part;
use OpenApi\Attributes as OA;

/** What is said at one kind of closed door. */
#[OA\Schema]
final readonly class NoticeRow
{
    /**
     * @param  string  $who  meets it, in words
     * @param  string  $from  whose words hold here
     * @param  bool  $forOffer  whether those are for the holders of the offer alone
     * @param  string  $way  show, shared, sign-in or address
     * @param  ?int  $shared  whose words stand there
     * @param  list<Part>  $parts  what stands there, in order
     * @param  int  $version  of the words of this place; 0: it has none of its own
     * @param  string  $usualHeading  to begin with
     */
    public function __construct(
        #[OA\Property(enum: NoticeCase::class)] public string $case,
        #[OA\Property] public string $who,
        #[OA\Property(enum: NoticeLevel::class)] public string $from,
        #[OA\Property] public bool $forOffer,
        #[OA\Property(enum: ['show', 'shared', 'sign-in', 'address'])] public string $way,
        #[OA\Property] public string $heading,
        #[OA\Property] public string $text,
        #[OA\Property] public string $address,
        #[OA\Property] public bool $titled,
        #[OA\Property] public ?int $shared,
        #[OA\Property] public ?string $sharedName,
        #[OA\Property(items: new OA\Items(ref: Part::class))] public array $parts,
        #[OA\Property] public int $version,
        #[OA\Property] public string $usualHeading,
        #[OA\Property] public string $usualText,
        #[OA\Property] public bool $canSendToSignIn,
        #[OA\Property] public int $status,
    ) {
    }
}
