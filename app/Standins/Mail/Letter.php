<?php

declare(strict_types=1);

namespace App\Standins\Mail;

use App\Words\Say;

/** A letter in plain text. */
final readonly class Letter
{
    /**
     * @param  ?string  $once  what it is about: a second one about the same is not sent
     * @param  ?string  $secret  a part of the body that only its reader may see
     * @param  ?string  $kind  of the school's letters; null: one that nobody can stop
     * @param  ?string  $stop  address at which its reader stops such letters, with one click in their mail program too (RFC 8058)
     */
    public function __construct(
        public ?int $personId,
        public string $to,
        public string $subject,
        public string $body,
        public ?string $once = null,
        public ?string $secret = null,
        public ?string $kind = null,
        public ?string $stop = null,
    ) {
    }

    /** Whether nothing is struck out in what is shown of a letter. */
    public static function isWhole(string $shown): bool
    {
        return ! str_contains($shown, Say::text('letters.secret'));
    }

    /** As it may be shown to whoever runs the school. */
    public function shownBody(): string
    {
        return $this->secret === null ? $this->body : str_replace($this->secret, Say::text('letters.secret'), $this->body);
    }
}
