<?php

declare(strict_types=1);

namespace App\Front;

use App\Models\PaidEvery;

/** What somebody whom nobody knows is told of the ways to get a course, and how long that stays true. */
final readonly class FrontPrice
{
    /**
     * @param  ?int  $cents  of the cheapest way; null: there is none just now
     * @param  bool  $several  there are dearer ones
     * @param  ?string  $pace  of the first, in words
     * @param  ?int  $soldFrom  where there is none now: the instant from which there is
     * @param  int  $until  the first instant at which something may be another
     */
    public function __construct(
        public ?int $cents,
        public string $currency,
        public ?PaidEvery $every,
        public bool $several,
        public ?string $pace,
        public ?int $soldFrom,
        public string $language,
        public int $from,
        public int $until,
    ) {
    }

    public function holdsAt(int $instant, string $language): bool
    {
        return $this->language === $language && $this->from <= $instant && $instant < $this->until;
    }
}
