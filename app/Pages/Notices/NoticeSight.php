<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Words\Glyph;
use OpenApi\Attributes as OA;

/** What a row is to a vantage, and the notice that is met there. */
#[OA\Schema]
final readonly class NoticeSight
{
    /**
     * @param  ?string  $case  the kind of closed door; null: it is open, or hidden
     * @param  ?string  $word  what is met, in a word or by its date
     * @param  ?string  $level  whose words stand there
     * @param  bool  $hasStep  whether whoever meets it is told what to do or to wait for
     */
    public function __construct(
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property(enum: NoticeCase::class)] public ?string $case,
        #[OA\Property] public ?string $word,
        #[OA\Property(enum: NoticeLevel::class)] public ?string $level,
        #[OA\Property] public bool $hasStep,
    ) {
    }
}
