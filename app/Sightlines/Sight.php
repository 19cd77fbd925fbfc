<?php

declare(strict_types=1);

namespace App\Sightlines;

use App\Words\Glyph;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;

/** What a row is to a vantage for a while: a decision, in what a cell shows of it. */
#[OA\Schema]
final readonly class Sight
{
    /**
     * @param  string  $glyph  open, sample, later, locked, hidden or over
     * @param  bool  $look  may look but not work
     * @param  ?string  $word  a date, or what is waited for
     * @param  string  $state  open, locked or hidden
     * @param  ?string  $via  the route that opens it
     * @param  list<string>  $why  reason codes
     * @param  ?int  $next  instant of the first change of state that time alone will bring
     * @param  ?string  $then  the state after it
     */
    public function __construct(
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property] public ?string $word,
        #[OA\Property(enum: State::class)] public string $state,
        #[OA\Property(enum: Route::class)] public ?string $via,
        #[OA\Property(items: new OA\Items(type: 'string', enum: Reason::class))] public array $why,
        #[OA\Property] public ?int $next,
        #[OA\Property(enum: State::class)] public ?string $then,
    ) {
    }
}
