<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\School\Letters\LetterKind;
use OpenApi\Attributes as OA;

/** How a kind of letter is written. */
#[OA\Schema]
final readonly class LetterRow
{
    /**
     * @param  string  $told  when it is written
     * @param  bool  $asked  whether only those get it who have asked for it
     * @param  ?int  $days  before the end of a pass, where it counts any
     * @param  ?int  $hour  of the day, by the school's wall clock, where it has one
     * @param  int  $version  0: nobody has settled anything
     * @param  bool  $isOwn  whether its words are the school's own
     * @param  int  $stopped  how many people want none; of a kind that is asked for, how many have asked
     * @param  list<string>  $placeholders
     */
    public function __construct(
        #[OA\Property(enum: LetterKind::class)] public string $kind,
        #[OA\Property] public string $title,
        #[OA\Property] public string $told,
        #[OA\Property] public bool $on,
        #[OA\Property] public bool $asked,
        #[OA\Property] public ?int $days,
        #[OA\Property] public ?int $hour,
        #[OA\Property] public string $subject,
        #[OA\Property] public string $body,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $isOwn,
        #[OA\Property] public int $stopped,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $placeholders,
    ) {
    }
}
