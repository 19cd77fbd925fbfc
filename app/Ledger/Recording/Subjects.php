<?php

declare(strict_types=1);

namespace App\Ledger\Recording;

/** All on which access depends, but the documents themselves: a revision is never altered, and the ledger keeps its digest. */
final class Subjects
{
    private function __construct()
    {
    }

    /** @return array<string, Subject> by table */
    public static function all(): array
    {
        $all = [];
        foreach ([...self::ofSchool(), ...self::ofPeople()] as $subject) {
            $all[$subject->table] = $subject;
        }

        return $all;
    }

    /** @return list<Subject> */
    private static function ofSchool(): array
    {
        return [
            new Subject('schools', 'id', null, null, ['zone', 'guests', 'warn_days', 'grace_days', 'missed_days'], ['guests']),
            // Not what it says of itself, nor what is being drafted.
            new Subject('courses', 'id', null, 'id', ['key', 'live_revision_id', 'guest_token', 'hidden', 'takes_next_run', 'address', 'old_address', 'listed_over'], ['hidden', 'takes_next_run', 'listed_over']),
            new Subject('revisions', 'id', null, 'course_id', ['number', 'author_id', 'note', 'published_at'], digests: ['document']),
            new Subject('offers', 'id', null, 'course_id', [
                'key', 'name', 'price', 'currency', 'created_at', 'updated_at', 'labels', 'trial', 'erases', 'again', 'not_after', 'not_after_course', 'only_label', 'most', 'sold_from', 'sold_until', 'upgrade_price', 'every',
            ], ['trial', 'erases', 'not_after_course']),
        ];
    }

    /** @return list<Subject> */
    private static function ofPeople(): array
    {
        return [
            // Who they are stands in no entry: so somebody can be forgotten, and all entries stay.
            new Subject('people', 'id', 'id', null, ['role']),
            new Subject('edited_courses', 'course_id', 'person_id', 'course_id', []),
            new Subject('observer_ties', 'id', 'learner_id', null, ['observer_id', 'created_at', 'updated_at']),
            new Subject('passes', 'id', 'person_id', 'course_id', [
                'offer_id', 'starts_at', 'ends_at', 'paced_from', 'state', 'created_at', 'updated_at', 'source', 'given_by', 'paused_at', 'clock_stops', 'warned_at', 'erased_at', 'erases_at', 'purchase_id', 'ended_by', 'would_end_at', 'import_id',
            ], ['clock_stops']),
            new Subject('labels', 'id', 'person_id', null, ['label', 'source', 'starts_at', 'ends_at']),
            new Subject('grants', 'id', 'person_id', 'course_id', ['item_key', 'starts_at', 'ends_at', 'created_at', 'updated_at']),
            new Subject('completions', 'id', 'person_id', 'course_id', ['item_key', 'completed_at']),
        ];
    }
}
