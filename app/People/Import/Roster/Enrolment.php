<?php

declare(strict_types=1);

namespace App\People\Import\Roster;

/** A student's enrolment in a class for which there is an offer. */
final readonly class Enrolment
{
    /**
     * @param  int  $line  of the file of enrolments
     * @param  string  $offer  key
     * @param  string  $begins  day as it is written; empty: none
     * @param  string  $ends  likewise: that day is out already
     * @param  string  $why  what ends it; empty where it holds
     */
    public function __construct(public int $line, public string $offer, public string $begins, public string $ends, public string $why = '')
    {
    }
}
