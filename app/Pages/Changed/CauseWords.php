<?php

declare(strict_types=1);

namespace App\Pages\Changed;

use App\Access\SchoolClock;
use App\Ledger\Changes\Cause;
use App\Models\Revision;
use App\Words\Say;

/** Causes in words. The revisions among them are read at once. */
final readonly class CauseWords
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  list<string>  $causes  as {@see Cause} has them
     * @return array<string, string> by cause
     */
    public function of(array $causes): array
    {
        $ids = [];
        foreach ($causes as $cause) {
            $ids[] = preg_match('/^revision (\d+)$/D', $cause, $named) === 1 ? (int) $named[1] : 0;
        }
        $revisions = Revision::query()->whereIn('id', array_filter($ids))->get(['id', 'number', 'note', 'published_at'])->keyBy('id');
        $words = [];
        foreach ($causes as $at => $cause) {
            $revision = $revisions->get($ids[$at]);
            $words[$cause] = match (true) {
                $revision !== null => Say::text('changed_told.causes.revision', ['number' => $revision->number, 'note' => $revision->note ?? '', 'noted' => ($revision->note ?? '') === '' ? 'no' : 'yes', 'when' => $this->clock->words($revision->published_at->getTimestamp())]),
                str_starts_with($cause, 'revision ') => Say::text('changed_told.causes.unpublished'),
                default => Say::text("changed_told.causes.{$cause}"),
            };
        }

        return $words;
    }
}
