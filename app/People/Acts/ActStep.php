<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Standins\Mail\Letter;

/** What an act does to one person. */
final readonly class ActStep
{
    /**
     * @param  string  $outcome  in a few words that others may share: they are counted
     * @param  list<RowChange>  $changes  none: they are left as they are
     * @param  array<string, mixed>  $before  for their history
     * @param  array<string, mixed>  $after  likewise
     * @param  ?int  $courseId  that it is about
     * @param  ?Letter  $letter  that goes out to them
     */
    public function __construct(
        public int $personId,
        public string $outcome,
        public array $changes = [],
        public array $before = [],
        public array $after = [],
        public ?int $courseId = null,
        public ?Letter $letter = null,
    ) {
    }

    public function doesSomething(): bool
    {
        return $this->changes !== [] || $this->letter !== null;
    }
}
