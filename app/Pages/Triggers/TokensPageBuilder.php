<?php

declare(strict_types=1);

namespace App\Pages\Triggers;

use App\Access\SchoolClock;
use App\Models\ApiToken;

/** Puts together what is seen of tokens. */
final readonly class TokensPageBuilder
{
    /** Days after which a new one is proposed to end. */
    private const USUAL_DAYS = 365;

    public function __construct(private SchoolClock $clock)
    {
    }

    public function page(?int $open, ?string $secret): TokensPage
    {
        $now = $this->clock->now();
        $rows = ApiToken::query()->with('tokenable')->orderBy('name')->orderBy('id')->get()->map(fn (ApiToken $one): TokenRow => new TokenRow(
            $one->id, $one->name, $one->abilities, $one->tokenable->name, $this->clock->date($one->created_at->getTimestamp()),
            // Its end is the first instant at which it does not hold: that of the next day.
            $one->expires_at === null ? null : $this->clock->date($one->expires_at->getTimestamp() - 1), $one->isOver($now), $one->last_used_at === null ? null : $this->clock->words($one->last_used_at->getTimestamp()),
        ))->all();

        return new TokensPage(array_values($rows), in_array($open, array_column($rows, 'id'), true) ? $open : null, $secret, substr($this->clock->wall($this->clock->plusDays($now, self::USUAL_DAYS)), 0, 10));
    }
}
