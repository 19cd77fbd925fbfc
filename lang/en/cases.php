<?php

declare(strict_types=1);

/*
 * Notices as the school has not written them, and what may stand in them. Patterns are ICU messages.
 */
return [
    'notice_case' => [
        'somebody_who_not_signed' => 'Somebody who is not signed in',
        'somebody_who_not_signed_in' => 'Somebody who is not signed in, at a sample that asks for an account',
        'somebody_we_know_who' => 'Somebody we know who has no pass',
        'pass_that_does_not' => 'A pass that does not cover it',
        'too_early' => 'Too early',
        'something_to_finish_first' => 'Something to finish first',
        'pass_that_has_ended' => 'A pass that has ended, is paused or was withdrawn',
        'the_lesson_has_closed' => 'The lesson has closed',
        'guest_or_observer_who' => 'A guest or an observer who is not admitted',
        'course_over_or_retired' => 'The course is over or retired',
    ],
    'placeholders' => [
        'title' => 'the lesson',
        'course' => 'the course',
        'name' => 'who reads it',
        'opens' => 'when it opens, with the zone',
        'first' => 'what is to be finished first',
        'tiers' => 'the tiers it is for',
        'pass' => 'their pass',
        'school' => 'the school',
        'contact' => 'whom to ask',
    ],
    'otherwise' => [
        'name' => 'a visitor',
        'opens' => 'later',
        'first' => 'what comes first',
        'tiers' => 'another tier',
        'pass' => 'your pass',
        'contact' => 'the school',
    ],
    'usual' => [
        'unknown' => [
            'heading' => '{title} needs a pass',
            'text' => 'If you have one, sign in and you will be back at exactly this page.',
        ],
        'account' => [
            'heading' => '{title} is open to everyone with an account',
            'text' => 'Sign in and you will be back at exactly this page.',
        ],
        'no-pass' => [
            'heading' => '{title} needs a pass',
            'text' => 'You are signed in as {name}, but you hold no pass for {course}.',
        ],
        'not-covered' => [
            'heading' => '{title} is not in your pass',
            'text' => 'Your pass covers another part of {course}.',
        ],
        'too-early' => [
            'heading' => '{title} is not open yet',
            'text' => 'It opens {opens}.',
        ],
        'finish-first' => [
            'heading' => 'Something comes before {title}',
            'text' => 'Finish {first} first, and it opens at once.',
        ],
        'ended' => [
            'heading' => 'Your pass has ended',
            'text' => 'What you have finished is still recorded.',
        ],
        'closed' => [
            'heading' => '{title} has closed',
            'text' => 'It is not open any more.',
        ],
        'not-admitted' => [
            'heading' => '{title} is shown to learners alone',
            'text' => 'If you hold a pass, sign in with it.',
        ],
        'course-over' => [
            'heading' => 'The course is over',
            'text' => '{course} is not given at present.',
        ],
    ],
];
