<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;

/** The course itself, as its form edits it. */
#[OA\Schema]
final readonly class CourseSettings
{
    /**
     * @param  string  $state  draft, live or retired
     * @param  string  $entry  anyone, signup, offer or invite
     * @param  ?string  $opens  wall-clock time in the school's zone
     * @param  ?string  $guestPhrase  what guests must say at their door
     * @param  string  $tiers  joined by commas
     */
    public function __construct(
        #[OA\Property] public string $title,
        #[OA\Property(enum: CourseState::class)] public string $state,
        #[OA\Property(enum: Entry::class)] public string $entry,
        #[OA\Property] public ?string $opens,
        #[OA\Property] public ?string $closes,
        #[OA\Property] public bool $keepAfterRetiring,
        #[OA\Property] public bool $sampleNeedsAccount,
        #[OA\Property] public bool $inOrder,
        #[OA\Property] public bool $guestsOpen,
        #[OA\Property] public bool $guestsDefault,
        #[OA\Property] public ?string $guestPhrase,
        #[OA\Property] public ?string $guestLink,
        #[OA\Property] public bool $observersOpen,
        #[OA\Property] public bool $observersDefault,
        #[OA\Property] public bool $observersFollow,
        #[OA\Property] public string $tiers,
    ) {
    }
}
