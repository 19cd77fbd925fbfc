<?php

declare(strict_types=1);

namespace App\People\Import;

/** A row of a file: somebody, and what they are to get. */
final readonly class PersonLine
{
    /**
     * @param  int  $line  of the file, from 1
     * @param  list<string>  $labels
     * @param  ?string  $offer  key
     * @param  ?int  $starts  instant; null: when it is brought in
     * @param  list<string>  $observes  addresses of learners they look in on
     * @param  ?int  $ends  instant at which the pass ends, where it would last longer
     */
    public function __construct(public int $line, public string $email, public string $name, public array $labels = [], public ?string $offer = null, public ?int $starts = null, public array $observes = [], public ?int $ends = null)
    {
    }
}
