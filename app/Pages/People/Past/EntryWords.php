<?php

declare(strict_types=1);

namespace App\Pages\People\Past;

use App\Access\SchoolClock;
use App\Access\Shelf\CourseShelf;
use App\Ledger\Past\Entry;
use App\Ledger\Past\Fact;
use App\Ledger\Past\PastAnswer;
use App\Ledger\Past\PastRules;
use App\Words\Say;
use App\Words\Sentence;

/** What an entry of the ledger says, in plain words; null where it is nothing that somebody would tell. */
final readonly class EntryWords
{
    public function __construct(private SchoolClock $clock, private CourseShelf $shelf, private PastRules $rules)
    {
    }

    /**
     * @param  ?Fact  $before  the row as it was
     * @param  array<int, string>  $offers  names by number
     * @param  ?int  $person  of whom it is told
     */
    public function of(Entry $entry, ?Fact $before, array $offers, Hands $hands, ?int $person, ?PastAnswer $answer): ?Sentence
    {
        $fact = $entry->what === 'gone' ? $before ?? $entry->fact : $entry->fact;

        return match ($entry->subject) {
            'people' => $this->person($entry, $before),
            'passes' => $this->pass($entry->what, $fact, $before, $offers[(int) $fact->intOrNull('offer_id')] ?? ''),
            'labels' => $this->dated('label', $entry, $fact, Sentence::title($fact->text('label'))),
            'grants' => $this->dated('grant', $entry, $fact, Sentence::title($this->title($fact, $answer))),
            'completions' => $this->finished($entry, $fact, $answer),
            'observer_ties' => $fact->person === $person || $fact->intOrNull('observer_id') === $person ? Sentence::say('past_told.tie.'.($entry->what === 'gone' ? 'gone' : 'made'), titles: ['name' => $hands->person((int) ($fact->person === $person ? $fact->intOrNull('observer_id') : $fact->person))]) : null,
            'courses' => $this->course($fact, $before),
            'schools' => $before === null ? null : $this->school($fact, $before),
            'offers' => $before !== null && $fact->text('labels') !== $before->text('labels') ? Sentence::say('past_told.offer_labels', titles: ['title' => $fact->text('name')]) : null,
            'edited_courses' => Sentence::say('past_told.edits.'.($entry->what === 'gone' ? 'gone' : 'made')),
            default => null,
        };
    }

    private function person(Entry $entry, ?Fact $before): ?Sentence
    {
        $role = $entry->fact->textOrNull('role');

        return match (true) {
            $entry->what === 'gone' => Sentence::say('past_told.person.gone'),
            $before === null => Sentence::say('past_told.person.came'),
            $role !== $before->textOrNull('role') => Sentence::say('past_told.person.role', ['role' => $role ?? 'none']),
            default => null,
        };
    }

    private function pass(string $what, Fact $pass, ?Fact $before, string $offer): ?Sentence
    {
        $title = ['title' => $offer];
        if ($what === 'gone') {
            return Sentence::say('past_told.pass.gone', titles: $title);
        }
        if ($before === null) {
            return Sentence::say('past_told.pass.made', ['from' => $this->clock->words((int) $pass->instant('starts_at')), 'until' => $this->until($pass->instant('ends_at'))], $title);
        }

        return match (true) {
            $pass->intOrNull('offer_id') !== $before->intOrNull('offer_id') => Sentence::say('past_told.pass.offer', titles: $title),
            $pass->text('state') !== $before->text('state') => Sentence::say('past_told.pass.state', ['state' => $pass->text('state')], $title),
            $pass->textOrNull('ends_at') !== $before->textOrNull('ends_at') => Sentence::say('past_told.pass.ends', ['until' => $this->until($pass->instant('ends_at')), 'was' => $this->until($before->instant('ends_at'))], $title),
            $pass->text('starts_at') !== $before->text('starts_at') || $pass->textOrNull('paced_from') !== $before->textOrNull('paced_from') => Sentence::say('past_told.pass.begins', ['from' => $this->clock->words((int) ($pass->instant('paced_from') ?? $pass->instant('starts_at')))], $title),
            default => null,
        };
    }

    /** What ends with the entry that says so is taken back. */
    private function dated(string $kind, Entry $entry, Fact $fact, string $title): Sentence
    {
        $ends = $fact->instant('ends_at');
        $isOver = $entry->what === 'gone' || ($entry->what === 'changed' && $ends !== null && $ends <= $entry->at);

        return Sentence::say("past_told.{$kind}.".($isOver ? 'gone' : 'made'), ['until' => $this->until($ends), 'title' => $title]);
    }

    /** What was finished on another day than it was written says so. */
    private function finished(Entry $entry, Fact $done, ?PastAnswer $answer): Sentence
    {
        $since = (int) $done->instant('completed_at');
        $title = ['title' => $this->title($done, $answer)];

        return match (true) {
            $entry->what === 'gone' => Sentence::say('past_told.finished.gone', titles: $title),
            $since !== $entry->at => Sentence::say('past_told.finished.earlier', ['when' => $this->clock->words($since)], $title),
            default => Sentence::say('past_told.finished.made', titles: $title),
        };
    }

    private function course(Fact $course, ?Fact $before): ?Sentence
    {
        $live = $course->intOrNull('live_revision_id');
        $revision = $live === null || $live === $before?->intOrNull('live_revision_id') ? null : $this->rules->of($live);

        return match (true) {
            $revision !== null => Sentence::say('past_told.published', ['number' => $revision->number, 'note' => $revision->note ?? '', 'noted' => $revision->note === null || $revision->note === '' ? 'no' : 'yes']),
            $before !== null && $course->textOrNull('guest_token') !== $before->textOrNull('guest_token') => Sentence::say('past_told.guest_link'),
            default => null,
        };
    }

    private function school(Fact $school, Fact $before): ?Sentence
    {
        return match (true) {
            $school->text('zone') !== $before->text('zone') => Sentence::say('past_told.school.zone', ['zone' => $school->text('zone')]),
            $school->flag('guests') !== $before->flag('guests') => Sentence::say('past_told.school.guests', ['in' => $school->flag('guests') ? 'yes' : 'no']),
            default => null,
        };
    }

    /** As it was called then, or is called now. */
    private function title(Fact $fact, ?PastAnswer $answer): string
    {
        $key = $fact->text('item_key');
        $position = $answer?->answer->decider->course->outline->positionOf($key);

        return $position !== null ? $answer->answer->decider->course->outline->items[$position]->title ?? $key : $this->shelf->itemTitle((int) $fact->course, $key);
    }

    /** `until Mon 9 Mar, 09:00`, or for good. */
    private function until(?int $instant): string
    {
        return $instant === null ? Say::text('past_told.for_good') : Say::text('past_told.until', ['when' => $this->clock->words($instant)]);
    }
}
