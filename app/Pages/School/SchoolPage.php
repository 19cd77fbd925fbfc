<?php

declare(strict_types=1);

namespace App\Pages\School;

use App\Models\Language;
use OpenApi\Attributes as OA;

/** The school and what holds for all of its courses. */
#[OA\Schema]
final readonly class SchoolPage
{
    /**
     * @param  string  $usualSender  the address of letters where none is named
     * @param  int  $samplePercent  of lessons, and of their minutes, that samples may give away
     * @param  string  $holidays  a line each
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $zone,
        #[OA\Property] public string $currency,
        #[OA\Property(enum: Language::class)] public string $language,
        #[OA\Property] public bool $guests,
        #[OA\Property] public ?string $contactName,
        #[OA\Property] public ?string $contactEmail,
        #[OA\Property] public ?string $senderName,
        #[OA\Property] public ?string $senderEmail,
        #[OA\Property] public ?string $replyEmail,
        #[OA\Property] public string $usualSender,
        #[OA\Property] public int $warnDays,
        #[OA\Property] public int $graceDays,
        #[OA\Property] public int $missedDays,
        #[OA\Property] public int $samplePercent,
        #[OA\Property] public string $holidays,
        #[OA\Property] public SchoolFront $front,
        #[OA\Property] public bool $mayRun,
    ) {
    }
}
