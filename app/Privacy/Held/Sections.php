<?php

declare(strict_types=1);

namespace App\Privacy\Held;

/** Every table of the school: what each holds of people, and what is done about traces of somebody in the others. */
final class Sections
{
    /** Rows there that name somebody are of no use without them. */
    public const LET_GO = ['kept_answers', 'jobs', 'failed_jobs', 'sessions', 'given_up', 'people_counts', 'rehearsals', 'rehearsal_parts', 'people_files', 'people_file_parts'];

    /** What the program has written: whoever is named there is named by their number from then on. */
    public const REWRITTEN = ['activities', 'people_acts', 'act_changes', 'act_letters', 'messages', 'imports', 'trigger_runs', 'outside_events', 'incoming_events', 'shop_events', 'statements', 'segments', 'vantage_sets', 'expectations', 'people'];

    /** What people have written, which nobody alters behind their backs: it is told where somebody is named. Entries of the ledger are among it, for what a revision was called. */
    public const TOLD = [
        'accepted_findings', 'bundles', 'content_versions', 'contents', 'course_faces', 'courses', 'draft_edits', 'drafts', 'form_answers', 'forms', 'labels', 'ledger', 'letter_texts', 'media', 'next_runs', 'notice_texts', 'offers', 'outside_systems', 'personal_access_tokens', 'pictures',
        'posts', 'related_offers', 'revisions', 'row_titles', 'schools', 'shared_notices', 'triggers',
    ];

    /** In which no names are: keys, numbers and times. */
    public const WITHOUT_WORDS = [
        'bundle_offer', 'completions', 'edited_courses', 'erased_people', 'erasures', 'former_items', 'given_tries', 'grants', 'import_endings', 'import_labels', 'import_passes', 'import_people', 'import_rows', 'import_ties', 'letter_choices', 'list_contacts', 'looks', 'migrations', 'notice_meetings', 'notice_weeks',
        'observer_ties', 'pass_changes', 'passes', 'purchases', 'quiz_tries', 'rehearsed', 'sign_in_links', 'visits', 'watch_reports', 'watches',
    ];

    /** Columns that name people for what they did for the school: whoever is erased is a number there. */
    public const AS_STAFF = [
        'accepted_findings.person_id', 'activities.actor_id', 'content_versions.written_by', 'contents.written_by', 'draft_edits.author_id', 'drafts.publish_by', 'expectations.author_id', 'imports.author_id', 'passes.given_by', 'people_acts.actor_id', 'pictures.made_by', 'revisions.author_id',
    ];

    private function __construct()
    {
    }

    /** @return list<Section> in the order in which they are told */
    public static function all(): array
    {
        return [...self::ofAccess(), ...self::ofLearning(), ...self::ofLetters(), ...self::ofFiles(), ...self::ofWorking()];
    }

    /** @return list<Section> */
    private static function ofAccess(): array
    {
        return [
            new Section('people', OnErasing::AtOnce, by: ['id'], secret: ['password', 'remember_token', 'session_key', 'calendar_token']),
            new Section('passes', OnErasing::Stays),
            new Section('purchases', OnErasing::Stays),
            new Section('grants', OnErasing::Stays),
            new Section('labels', OnErasing::Stays),
            new Section('observer_ties', OnErasing::RowsGo, by: ['observer_id', 'learner_id']),
            new Section('erasures', OnErasing::Stays),
            new Section('erased_people', OnErasing::Stays, secret: ['sought', 'left'], handedOut: false),
        ];
    }

    /** @return list<Section> */
    private static function ofLearning(): array
    {
        return [
            new Section('completions', OnErasing::Stays),
            new Section('looks', OnErasing::Stays),
            new Section('visits', OnErasing::Stays),
            new Section('watches', OnErasing::Stays),
            new Section('quiz_tries', OnErasing::WordsGo, blank: ['answers' => '[]']),
            new Section('given_tries', OnErasing::Stays),
            new Section('posts', OnErasing::WordsGo, blank: ['text' => ''], secret: ['once']),
            new Section('statements', OnErasing::WordsGo, blank: ['body' => '{}'], secret: ['digest']),
        ];
    }

    /** @return list<Section> */
    private static function ofLetters(): array
    {
        return [
            new Section('messages', OnErasing::RowsGo, addresses: ['to'], secret: ['once', 'stop', 'sealed']),
            new Section('act_letters', OnErasing::RowsGo, addresses: ['to'], secret: ['stop'], handedOut: false),
            new Section('letter_choices', OnErasing::RowsGo),
            new Section('list_contacts', OnErasing::RowsGo),
            new Section('form_answers', OnErasing::WordsGo, addresses: ['email'], blank: ['name' => '', 'email' => '', 'answers' => '{}'], secret: ['once']),
            new Section('next_runs', OnErasing::RowsGo, addresses: ['email'], secret: ['token']),
        ];
    }

    /** @return list<Section> */
    private static function ofFiles(): array
    {
        return [
            new Section('import_people', OnErasing::RowsGo, addresses: ['email'], handedOut: false),
            new Section('import_rows', OnErasing::RowsGo, by: [], addresses: ['email'], handedOut: false),
            new Section('import_ties', OnErasing::RowsGo, by: [], addresses: ['observer', 'learner'], handedOut: false),
            new Section('import_passes', OnErasing::RowsGo, handedOut: false),
            new Section('import_labels', OnErasing::RowsGo, handedOut: false),
            new Section('import_endings', OnErasing::RowsGo, handedOut: false),
        ];
    }

    /** @return list<Section> */
    private static function ofWorking(): array
    {
        return [
            new Section('sign_in_links', OnErasing::RowsGo, secret: ['token_hash']),
            new Section('sessions', OnErasing::RowsGo, by: ['user_id'], secret: ['id', 'payload']),
            new Section('outside_events', OnErasing::RowsGo, secret: ['signature', 'once']),
            new Section('incoming_events', OnErasing::RowsGo, secret: ['signature']),
            new Section('trigger_runs', OnErasing::Stays, secret: ['key']),
            new Section('activities', OnErasing::WordsGo, blank: ['before' => null, 'after' => null], only: ['action' => ['post.taken-back', 'message.written', 'item.finished-for', 'person.corrected', 'person.confirmed']], secret: ['actor_id', 'act_id'], others: ['observer', 'act']),
            new Section('act_changes', OnErasing::Stays, handedOut: false),
            new Section('segments', OnErasing::RowsGo),
            new Section('vantage_sets', OnErasing::RowsGo),
            new Section('personal_access_tokens', OnErasing::RowsGo, by: ['tokenable_id'], secret: ['token']),
            new Section('edited_courses', OnErasing::RowsGo),
            new Section('given_up', OnErasing::RowsGo, handedOut: false),
            new Section('people_files', OnErasing::RowsGo, secret: ['making'], handedOut: false),
            new Section('ledger', OnErasing::Stays, secret: ['by', 'chain']),
        ];
    }
}
