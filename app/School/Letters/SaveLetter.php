<?php

declare(strict_types=1);

namespace App\School\Letters;

use App\Models\LetterText;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Psr\Clock\ClockInterface;

/** Settles how a kind of letter is written. What happened while it was not written is never written of. */
final readonly class SaveLetter
{
    public function __construct(private ActivityLog $log, private ClockInterface $clock)
    {
    }

    /** @return bool false where somebody else was there meanwhile, and nothing was changed */
    public function usualWords(LetterKind $kind, int $seen, Person $author): bool
    {
        $text = LetterText::query()->where('kind', $kind->value)->first();

        return $text === null ? $seen === 0 : $this($kind, ['on' => $text->on, 'days' => $text->days, 'hour' => $text->hour, 'subject' => null, 'body' => null], $seen, $author);
    }

    /**
     * @param  array{on: bool, days: ?int, hour: ?int, subject: ?string, body: ?string}  $settled  null as words: the usual ones
     * @param  int  $seen  the version that the author saw; 0: there was none
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function __invoke(LetterKind $kind, array $settled, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($kind, $settled, $seen, $author): bool {
            $text = LetterText::query()->where('kind', $kind->value)->first();
            if (($text->version ?? 0) !== $seen) {
                return false;
            }
            $before = $text?->only(array_keys($settled));
            $wasOn = $text->on ?? $kind->isOnAtFirst();
            $since = $settled['on'] && ! $wasOn ? ['since' => $this->clock->now()] : [];
            if ($text === null) {
                LetterText::query()->create(['kind' => $kind->value, 'version' => 1, 'since' => $this->clock->now(), ...$settled]);
            } else {
                $text->update([...$settled, ...$since, 'version' => $text->version + 1]);
            }
            $this->log->note('letter.settled', $author, before: ['kind' => $kind->value, 'settled' => $before], after: ['kind' => $kind->value, 'settled' => $settled]);

            return true;
        });
    }
}
