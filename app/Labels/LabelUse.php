<?php

declare(strict_types=1);

namespace App\Labels;

/** A place that names a label. */
final readonly class LabelUse
{
    /**
     * @param  bool  $gives  whether people have it by what stands there; false: it is asked for
     * @param  string  $title  of the row, the offer or the trigger
     * @param  ?string  $course  its title, where it stands in rules
     * @param  bool  $drafted  whether only the draft says so
     * @param  array<string, string|int>  $query  of the page where it is set
     */
    public function __construct(public bool $gives, public string $title, public ?string $course, public bool $drafted, public string $route, public array $query)
    {
    }
}
