<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Http\Api\Problems\Problem;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Words\Say;

/** Who looks, as a parameter names them: each once, with spaces between them. */
final class VantageList
{
    /**
     * @param  string  $parameter  its name
     * @return non-empty-list<VantagePoint>
     *
     * @throws Problem
     */
    public static function read(string $given, string $parameter): array
    {
        $points = [];
        foreach (array_filter(explode(' ', $given), static fn (string $one): bool => $one !== '') as $one) {
            $point = VantagePoint::parse($one) ?? throw Problem::parameter($parameter, Say::text('interface.parameters_told.vantage', ['vantage' => $one]));
            $points[(string) $point] = $point;
        }
        $points = array_values($points);

        return $points !== [] && count($points) <= Vantages::MOST ? $points : throw Problem::parameter($parameter, Say::text('interface.parameters_told.vantages', ['most' => Vantages::MOST]));
    }
}
