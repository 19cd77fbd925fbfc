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
        'if_you_have_one' => 'If you have one, sign in and you will be back at exactly this page.',
        'title_open_everyone_with' => '{title} is open to everyone with an account',
        'sign_in_and_you' => 'Sign in and you will be back at exactly this page.',
        'you_signed_in_as' => 'You are signed in as {name}, but you hold no pass for {course}.',
        'title_not_in_your' => '{title} is not in your pass',
        'your_pass_covers_another' => 'Your pass covers another part of {course}.',
        'title_not_open_yet' => '{title} is not open yet',
        'it_opens_opens' => 'It opens {opens}.',
        'something_comes_before_title' => 'Something comes before {title}',
        'finish_first_first_and' => 'Finish {first} first, and it opens at once.',
        'your_pass_has_ended' => 'Your pass has ended',
        'what_you_have_finished' => 'What you have finished is still recorded.',
        'title_has_closed' => '{title} has closed',
        'not_open_any_more' => 'It is not open any more.',
        'title_shown_learners_alone' => '{title} is shown to learners alone',
        'if_you_hold_pass' => 'If you hold a pass, sign in with it.',
        'the_course_is_over' => 'The course is over',
        'course_not_given_at' => '{course} is not given at present.',
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
];
