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
     * @param  string  $subject  in the language of the school
     * @param  string  $body  likewise
     * @param  bool  $isSubjectOwn  whether it is the school's own, and the same in every language
     * @param  bool  $isBodyOwn  likewise
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
        public bool $isSubjectOwn,
        public bool $isBodyOwn,
    ) {
    }

    public function isOwn(): bool
    {
        return $this->isSubjectOwn || $this->isBodyOwn;
    }

    /** @return array{string, string} subject and body: the school's own, and else the usual ones in the language that is spoken now */
    public function words(): array
    {
        [$subject, $body] = $this->isSubjectOwn && $this->isBodyOwn ? ['', ''] : $this->kind->usual();

        return [$this->isSubjectOwn ? $this->subject : $subject, $this->isBodyOwn ? $this->body : $body];
    }
}
