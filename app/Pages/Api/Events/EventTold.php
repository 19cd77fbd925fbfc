<?php

declare(strict_types=1);

namespace App\Pages\Api\Events;

use App\Models\OutsideEvent;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Time\Instant;

/** An event that a system of others was told, or is to be. */
#[OA\Schema]
final readonly class EventTold
{
    /**
     * @param  string  $system  name of the one that is told
     * @param  int  $tries  how often it was tried
     * @param  ?int  $status  of its last answer
     * @param  object  $event  a CloudEvent
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property] public string $system,
        #[OA\Property(enum: ['waiting', 'taken', 'failed'])] public string $state,
        #[OA\Property] public int $tries,
        #[OA\Property(format: 'date-time')] public string $made_at,
        #[OA\Property(format: 'date-time')] public ?string $tried_at,
        #[OA\Property] public ?int $status,
        #[OA\Property(type: 'object')] public object $event,
    ) {
    }

    public static function of(OutsideEvent $one): self
    {
        $event = json_decode($one->body, false, flags: JSON_THROW_ON_ERROR);
        assert(is_object($event));

        return new self($one->id, $one->system->name, $one->state, $one->tries, Instant::format($one->made_at->getTimestamp()), $one->tried_at === null ? null : Instant::format($one->tried_at->getTimestamp()), $one->status, $event);
    }
}
