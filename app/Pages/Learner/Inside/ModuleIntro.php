<?php

declare(strict_types=1);

namespace App\Pages\Learner\Inside;

use App\Front\ShownCover;
use OpenApi\Attributes as OA;

/** What stands beneath the heading of a module that is open. */
#[OA\Schema]
final readonly class ModuleIntro
{
    /**
     * @param  string  $key  of the module
     * @param  string  $html  safe; empty: it has no words
     * @param  ?ShownCover  $cover  null: it has none
     */
    public function __construct(#[OA\Property] public string $key, #[OA\Property] public string $html, #[OA\Property] public ?ShownCover $cover)
    {
    }
}
