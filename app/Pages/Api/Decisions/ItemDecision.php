<?php

declare(strict_types=1);

namespace App\Pages\Api\Decisions;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Time\Instant;

/** Whether an item is open, locked or hidden, and why. */
#[OA\Schema]
final readonly class ItemDecision
{
    /**
     * @param  string  $item  its key
     * @param  ?string  $via  the first way by which it is open; null where it is not
     * @param  bool  $act  whether they may work there, and not just look
     * @param  list<string>  $why  reasons; empty where it is open
     * @param  ?string  $words  why it is not open, as its learner is told; null where it is, or where words were not asked for
     */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property(enum: State::class)] public string $state,
        #[OA\Property(type: 'string', enum: Route::class, nullable: true)] public ?string $via,
        #[OA\Property] public bool $act,
        #[OA\Property(items: new OA\Items(type: 'string', enum: Reason::class))] public array $why,
        #[OA\Property] public ?StateThen $next,
        #[OA\Property] public ?string $words = null,
    ) {
    }

    public static function of(Decision $decision, ?string $words = null): self
    {
        return new self(
            $decision->item, $decision->state->value, $decision->via?->value, $decision->act, array_map(static fn (Reason $reason): string => $reason->value, $decision->why),
            $decision->next === null ? null : new StateThen(Instant::format($decision->next->at), $decision->next->state->value), $words,
        );
    }
}
