<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use OpenApi\Attributes as OA;

/** One time that something set a trigger off. */
#[OA\Schema]
final readonly class RunRow
{
    /**
     * @param  string  $when  it came about, in words
     * @param  string  $cause  what came about, in words
     * @param  list<string>  $did  what was done, step by step
     * @param  bool  $canBeTakenBack  whether anything of it can be
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public int $person,
        #[OA\Property] public string $name,
        #[OA\Property] public string $when,
        #[OA\Property] public string $cause,
        #[OA\Property(enum: ['waiting', 'done', 'left', 'failed', 'stopped', 'taken back'])] public string $state,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $did,
        #[OA\Property] public ?string $problem,
        #[OA\Property] public ?string $next,
        #[OA\Property] public bool $canBeTakenBack,
    ) {
    }
}
