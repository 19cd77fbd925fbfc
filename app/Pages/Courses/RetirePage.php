<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Drafts\Retiring\LearnersKeep;
use OpenApi\Attributes as OA;

/** The end of a course: planned, or as it is. */
#[OA\Schema]
final readonly class RetirePage
{
    /**
     * @param  string  $course  its key
     * @param  int  $version  of the draft; 0: there is none
     * @param  bool  $isRetired  what is live says so
     * @param  bool  $isLive  anything of it is live
     * @param  bool  $isPlanned  the draft retires it
     * @param  string  $keep  what becomes of present learners, as it is or as it is planned
     * @param  ?string  $lastDay  YYYY-MM-DD
     * @param  int  $holders  who hold a pass that is active now
     * @param  list<string>  $sold  names of the offers that are sold
     * @param  list<string>  $bundles  names of the bundles that give a pass of it
     * @param  bool  $guestsOpen  whether their door is open, by what is live
     * @param  bool  $observersOpen  likewise
     * @param  ?string  $heading  of the closing words; null: the usual one
     * @param  string  $words  whose closing words stand there
     * @param  list<string>  $instead  titles of the courses that are named there
     * @param  string  $subject  by which they are found
     * @param  list<string>  $subjects  that the school has
     * @param  string  $usualAddress  what stands in its address where it has no other
     * @param  string  $address  another one; empty: none
     */
    public function __construct(
        #[OA\Property] public string $course,
        #[OA\Property] public string $title,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $isRetired,
        #[OA\Property] public bool $isLive,
        #[OA\Property] public bool $isPlanned,
        #[OA\Property(enum: LearnersKeep::class)] public string $keep,
        #[OA\Property] public ?string $lastDay,
        #[OA\Property] public int $holders,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $sold,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $bundles,
        #[OA\Property] public bool $guestsOpen,
        #[OA\Property] public bool $observersOpen,
        #[OA\Property] public ?string $heading,
        #[OA\Property] public string $words,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $instead,
        #[OA\Property] public string $subject,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $subjects,
        #[OA\Property] public bool $takes,
        #[OA\Property] public bool $listed,
        #[OA\Property] public string $usualAddress,
        #[OA\Property] public string $address,
        #[OA\Property(enum: ['closing', 'nothing'])] public string $oldAddress,
        #[OA\Property] public bool $mayEdit,
    ) {
    }
}
