<?php

declare(strict_types=1);

namespace App\School\Log;

use App\Access\CourseShelf;
use App\Access\SchoolClock;
use App\Models\Activity;

/** Lines of the activity log about somebody, in plain words. */
final readonly class ActivityWords
{
    public function __construct(private SchoolClock $clock, private CourseShelf $shelf)
    {
    }

    /** @param  array<array-key, string>  $offers  names by key */
    public function of(Activity $line, array $offers): string
    {
        $after = $line->after ?? [];
        $before = $line->before ?? [];
        $text = static fn (mixed $value): string => is_scalar($value) ? (string) $value : '';
        $key = $text($after['offer'] ?? $before['offer'] ?? '');
        $offer = $offers[$key] ?? $key;
        $when = fn (mixed $instant): string => is_string($instant) && strtotime($instant.(str_contains($instant, 'T') ? '' : ' UTC')) !== false ? $this->clock->words((int) strtotime($instant.(str_contains($instant, 'T') ? '' : ' UTC'))) : 'for good';
        $names = static fn (mixed $keys): string => implode(', ', array_map(static fn (mixed $one): string => $offers[$text($one)] ?? $text($one), is_array($keys) ? $keys : []));
        $item = $text($after['item'] ?? $before['item'] ?? '');
        $title = $line->course_id === null ? $item : $this->shelf->itemTitle($line->course_id, $item);

        return match ($line->action) {
            'pass.given' => (isset($after['comes']) ? 'Came in; ' : '')."{$offer} given from {$when($after['from'] ?? null)}, ".(($after['until'] ?? null) === null ? 'for good' : 'to '.$when($after['until'])).(isset($after['by']) ? ', '.$text($after['by']) : '').(isset($after['instead']) ? ', in place of '.$names($after['instead']) : ''),
            'pass.extended' => "{$offer} extended to {$when($after['ends_at'] ?? null)} (was {$when($before['ends_at'] ?? null)})",
            'pass.paused' => "{$offer} paused, its days ".(($after['clock_stops'] ?? false) ? 'standing still' : 'going on'),
            'pass.resumed' => "{$offer} taken up again".(isset($after['ends_at']) ? ', to '.$when($after['ends_at']) : ''),
            'pass.ended' => "{$offer} ended",
            'pass.withdrawn' => "{$offer} withdrawn".(isset($after['again']) ? '; '.$names($after['again']).' in force again' : ''),
            'pass.given-back' => "{$offer} given back",
            'pass.changed' => ($offers[$text($before['offer'] ?? '')] ?? $text($before['offer'] ?? ''))." changed to {$offer}",
            'item.granted' => "{$item} handed out".(($after['until'] ?? null) === null ? '' : ', to '.$when($after['until'])),
            'item.taken-back' => "{$title} taken back",
            'item.finished' => "Finished {$title}",
            'label.given' => 'Got the label '.$text($after['label'] ?? '').(isset($after['until']) ? ', to '.$when($after['until']) : ''),
            'label.kept' => 'Keeps the label '.$text($after['label'] ?? '').", which {$offer} had given, though that pass is over",
            'label.taken' => 'Lost the label '.$text($before['label'] ?? ''),
            'observer.tied' => 'Observed by '.$text($after['observer'] ?? ''),
            'observer.untied' => 'No longer observed by '.$text($before['observer'] ?? ''),
            'message.written' => 'Was written: '.$text($after['subject'] ?? ''),
            'act.undone' => 'Taken back: '.$text($before['act'] ?? ''),
            'progress.erased' => "What was finished by {$offer} was erased: ".(is_array($after['items'] ?? null) ? count($after['items']) : 0).' rows',
            'progress.kept' => "What was finished by {$offer} is kept: another pass covers it",
            'trial.warned' => "Was told that {$offer} ends {$when($after['ends_at'] ?? null)}",
            'person.confirmed' => 'Showed that the address is theirs',
            'person.made' => 'Came in, '.$text($after['by'] ?? ''),
            'sign-in.sent' => 'Was sent a link to sign in',
            default => $line->action,
        };
    }
}
