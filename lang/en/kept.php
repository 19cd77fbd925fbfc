<?php

declare(strict_types=1);

/** What is kept of somebody, as it is told to themselves and to who runs the school. Patterns are ICU messages. */
return [
    'read_me' => "All that the school keeps of {name}.\nperson.json holds all of it. The other files are tables with the same, for a spreadsheet. Times are in UTC. Where others are meant, they are numbers, but in letters.",
    'sections' => [
        'people' => 'Name, address and account',
        'passes' => 'Passes',
        'purchases' => 'What was bought',
        'grants' => 'What was handed out by hand',
        'labels' => 'Labels',
        'observer_ties' => 'Who observes whom',
        'erasures' => 'What was erased at the end of a trial',
        'completions' => 'What was finished',
        'looks' => 'What was looked at, first and last',
        'visits' => 'What was looked at, and which notices were met, day by day',
        'watches' => 'What was watched',
        'quiz_tries' => 'Quizzes: answers and scores',
        'given_tries' => 'More tries that were given',
        'posts' => 'Posts on boards',
        'statements' => 'Statements of other systems',
        'messages' => 'Letters',
        'letter_choices' => 'Which letters they want',
        'list_contacts' => 'The mailing list',
        'form_answers' => 'Answers to forms',
        'next_runs' => 'Waiting for a next run',
        'sign_in_links' => 'Links to sign in',
        'sessions' => 'Where they are signed in',
        'outside_events' => 'Events told to other systems',
        'incoming_events' => 'Events from other systems',
        'trigger_runs' => 'What triggers did for them',
        'activities' => 'The activity log',
        'segments' => 'Saved filters',
        'vantage_sets' => 'Saved sets of vantages',
        'personal_access_tokens' => 'Access tokens',
        'edited_courses' => 'Courses that they edit',
        'ledger' => 'Entries of the ledger',
    ],
    'account' => [
        'title' => 'What the school keeps of you',
        'told' => 'All of it in one file: your passes, what you have finished, your answers, posts and letters. To have something put right, or to be erased, write to {contact}.',
        'nobody' => 'the school',
        'take_out' => 'Take it out (ZIP)',
    ],
];
