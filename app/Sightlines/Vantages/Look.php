<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

/** From where, when and at what a course is looked at. */
final readonly class Look
{
    /**
     * @param  ?int  $at  instant; null: now
     * @param  ?list<VantagePoint>  $points  null: the usual ones
     */
    public function __construct(public ?int $at = null, public ?array $points = null, public RulesVersion $see = RulesVersion::Draft)
    {
    }
}
