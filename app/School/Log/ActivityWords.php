<?php

declare(strict_types=1);

namespace App\School\Log;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Database\Value;
use App\Models\Activity;
use App\School\Letters\LetterKind;
use App\Words\RuleWords;
use App\Words\Say;

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
        $key = self::text($after['offer'] ?? $before['offer'] ?? '');
        $offer = $offers[$key] ?? $key;
        $item = self::text($after['item'] ?? $before['item'] ?? '');
        $titles = array_map(fn (string $one): string => $line->course_id === null ? $one : $this->shelf->itemTitle($line->course_id, $one), is_array($after['items'] ?? null) ? Value::texts($after['items']) : [$item]);
        $title = RuleWords::enumeration($titles, 'and');

        return match ($line->action) {
            'item.granted' => Say::text('log.activity_words.handed_out', ['item' => $item, 'to' => $this->to($after['until'] ?? null)]),
            'quiz.try-given' => Say::text('log.activity_words.try_given', ['title' => $title]),
            'item.finished-for' => Say::text('log.activity_words.finished_for', ['title' => $title, 'note' => self::text($after['note'] ?? ''), 'noted' => isset($after['note']) ? 'yes' : 'no']),
            'item.taken-back' => Say::text('log.activity_words.title_taken_back', ['title' => $title]),
            'item.finished' => Say::text('log.activity_words.finished_title', ['title' => $title]),
            'list.joined' => Say::text('log.activity_words.joined_list', ['label' => self::text($after['label'] ?? '')]),
            'label.given' => Say::text('log.activity_words.got_label', ['label' => self::text($after['label'] ?? ''), 'to' => $this->to($after['until'] ?? null)]),
            'label.kept' => Say::text('log.activity_words.keeps_label', ['label' => self::text($after['label'] ?? ''), 'offer' => $offer]),
            'label.taken' => Say::text('log.activity_words.lost_label', ['label' => self::text($before['label'] ?? '')]),
            'observer.tied' => Say::text('log.activity_words.observed_by', ['name' => self::text($after['observer'] ?? '')]),
            'observer.untied' => Say::text('log.activity_words.no_longer_observed_by', ['name' => self::text($before['observer'] ?? '')]),
            'message.written' => Say::text('log.activity_words.was_written', ['subject' => self::text($after['subject'] ?? '')]),
            'act.undone' => Say::text('log.activity_words.taken_back', ['act' => self::text($before['act'] ?? '')]),
            'import.taken-back' => Say::text('log.activity_words.file_taken_back', ['file' => self::text($before['file'] ?? '')]),
            'progress.erased' => Say::text('log.activity_words.erased', ['offer' => $offer, 'count' => is_array($after['items'] ?? null) ? count($after['items']) : 0]),
            'progress.kept' => Say::text('log.activity_words.what_was_finished_by', ['offer' => $offer]),
            'trial.warned' => Say::text(isset($after['unwritten']) ? 'log.activity_words.was_not_told' : 'log.activity_words.was_told_that_offer', ['offer' => $offer, 'when' => $this->when($after['ends_at'] ?? null)]),
            'person.confirmed' => Say::text('log.activity_words.showed_that_address_theirs'),
            'person.corrected' => Say::text('log.activity_words.corrected', ['name' => self::text($before['name'] ?? ''), 'email' => self::text($before['email'] ?? '')]),
            'person.erased' => Say::text('log.activity_words.person_erased'),
            'person.made' => Say::text('log.activity_words.came_in', ['by' => self::text($after['by'] ?? '')]),
            'letters.stopped', 'letters.wanted' => Say::text($line->action === 'letters.stopped' ? 'log.activity_words.letters_stopped' : 'log.activity_words.letters_wanted', ['kinds' => self::kinds($after['kinds'] ?? null)]),
            'sign-in.sent' => Say::text('log.activity_words.was_sent_link_sign'),
            default => $this->ofPass($line->action, $before, $after, $offer, $offers),
        };
    }

    private static function kinds(mixed $kinds): string
    {
        return implode(', ', array_map(static fn (mixed $kind): string => LetterKind::tryFrom(self::text($kind))?->title() ?? self::text($kind), is_array($kinds) ? $kinds : []));
    }

    /**
     * @param  array<array-key, mixed>  $before
     * @param  array<array-key, mixed>  $after
     * @param  array<array-key, string>  $offers  names by key
     */
    private function ofPass(string $action, array $before, array $after, string $offer, array $offers): string
    {
        $names = static fn (mixed $keys): string => implode(', ', array_map(static fn (mixed $one): string => $offers[self::text($one)] ?? self::text($one), is_array($keys) ? $keys : []));

        return match ($action) {
            'pass.given' => Say::text('log.activity_words.given', [
                'comes' => isset($after['comes']) ? 'yes' : 'no', 'offer' => $offer, 'when' => $this->when($after['from'] ?? null),
                'lasts' => isset($after['until']) ? $this->to($after['until']) : Say::text('log.activity_words.lasts_for_good'),
                'by' => isset($after['by']) ? ', '.self::text($after['by']) : '', 'instead' => isset($after['instead']) ? Say::text('log.activity_words.instead', ['offers' => $names($after['instead'])]) : '',
            ]),
            'pass.extended' => Say::text('log.activity_words.extended', ['offer' => $offer, 'when' => $this->when($after['ends_at'] ?? null), 'was' => $this->when($before['ends_at'] ?? null)]),
            'pass.begun' => Say::text('log.activity_words.begun', ['offer' => $offer]),
            'pass.paused' => Say::text(($after['clock_stops'] ?? false) ? 'log.activity_words.paused_still' : 'log.activity_words.paused_going_on', ['offer' => $offer]),
            'pass.resumed' => Say::text('log.activity_words.taken_up', ['offer' => $offer, 'to' => $this->to($after['ends_at'] ?? null)]),
            'pass.ended' => Say::text('log.activity_words.offer_ended', ['offer' => $offer]),
            'pass.taken-back' => Say::text('log.activity_words.offer_taken_back', ['offer' => $offer, 'by' => self::text($before['by'] ?? '')]),
            'pass.goes-on' => Say::text('log.activity_words.goes_on', ['offer' => $offer, 'to' => $this->to($after['ends_at'] ?? null)]),
            'pass.withdrawn' => isset($after['again']) ? Say::text('log.activity_words.withdrawn_again', ['offer' => $offer, 'offers' => $names($after['again'])]) : Say::text('log.activity_words.withdrawn', ['offer' => $offer]),
            'pass.given-back' => Say::text('log.activity_words.offer_given_back', ['offer' => $offer]),
            'pass.changed' => Say::text('log.activity_words.changed', ['was' => $offers[self::text($before['offer'] ?? '')] ?? self::text($before['offer'] ?? ''), 'offer' => $offer]),
            default => $action,
        };
    }

    /** An instant as it was noted. */
    private function when(mixed $noted): string
    {
        $instant = is_string($noted) ? strtotime($noted.(str_contains($noted, 'T') ? '' : ' UTC')) : false;

        return $instant === false ? Say::text('log.activity_words.for_good') : $this->clock->words($instant);
    }

    private function to(mixed $noted): string
    {
        return $noted === null ? '' : Say::text('log.activity_words.to', ['when' => $this->when($noted)]);
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
