<?php

declare(strict_types=1);

namespace App\Notices\Shared;

/** A place at which a shared notice stands. */
final readonly class SharedUse
{
    /**
     * @param  ?int  $courseId  null: the whole school
     * @param  ?string  $item  key; null: the whole course
     * @param  ?string  $offer  for whose holders alone, by key
     * @param  string  $case  the kind of closed door
     */
    public function __construct(public ?int $courseId, public ?string $item, public ?string $offer, public string $case)
    {
    }
}
