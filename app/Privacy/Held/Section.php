<?php

declare(strict_types=1);

namespace App\Privacy\Held;

/** A table with rows of people: which of them are somebody's, what of them is handed out, and what goes when they are erased. */
final readonly class Section
{
    /**
     * @param  list<string>  $by  columns with the number of the person
     * @param  list<string>  $addresses  columns with their address
     * @param  array<string, ?string>  $blank  what is written in place of their words
     * @param  array<string, list<string>>  $only  the words go only from rows that have one of these values in a column
     * @param  list<string>  $secret  columns that are handed out to nobody: what opens doors, and what the program keeps for itself
     * @param  list<string>  $others  members of what is stored as JSON that name somebody else: they are not handed out
     * @param  bool  $handedOut  whether it tells anything of them that no other section tells
     */
    public function __construct(
        public string $table,
        public OnErasing $onErasing,
        public array $by = ['person_id'],
        public array $addresses = [],
        public array $blank = [],
        public array $only = [],
        public array $secret = [],
        public array $others = [],
        public bool $handedOut = true,
    ) {
    }
}
