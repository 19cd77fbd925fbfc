<?php

declare(strict_types=1);

namespace App\Access;

use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;
use SilentKeep\Core\Format\PlanReader;
use SilentKeep\Core\Outline\Plan;

/** Plan documents in files. */
final class PlanFile
{
    /** Bytes. */
    public const LARGEST = PlanReader::LARGEST;

    private function __construct()
    {
    }

    /**
     * The text of a file, unless it is larger than any plan can be.
     *
     * @throws InvalidPlan if it cannot be read
     */
    public static function text(string $path): string
    {
        if (! is_file($path) || ! is_readable($path)) {
            throw new InvalidPlan([new Offence('', "there is no such file, or it may not be read: {$path}")]);
        }
        $text = file_get_contents($path, false, null, 0, PlanReader::LARGEST + 1);

        return $text === false ? throw new InvalidPlan([new Offence('', "cannot be read: {$path}")]) : $text;
    }

    /** @throws InvalidPlan */
    public static function read(string $path): Plan
    {
        return PlanReader::fromJson(self::text($path));
    }
}
