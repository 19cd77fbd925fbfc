<?php

declare(strict_types=1);

namespace App\School\Letters;

/** How a kind of letter is written. */
final readonly class SettledLetter
{
    /**
     * @param  ?int  $days  before the end of a pass, where it counts any
     * @param  ?int  $hour  of the day, by the wall clock of the school, where it has one
     * @param  int  $since  what happened before this instant is not written of; UTC seconds
     * @param  int  $version  0: nobody has settled anything
     * @param  bool  $isOwn  whether its words are the school's own
     */
    public function __construct(
        public LetterKind $kind,
        public bool $on,
        public ?int $days,
        public ?int $hour,
        public string $subject,
        public string $body,
        public int $since,
        public int $version,
        public bool $isOwn,
    ) {
    }
}
