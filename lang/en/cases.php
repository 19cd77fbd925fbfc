<?php

declare(strict_types=1);

/*
 * Notices as the school has not written them, and what may stand in them. Patterns are ICU messages.
 */
return [
    'titles' => [
        'unknown' => 'Somebody who is not signed in',
        'account' => 'Somebody who is not signed in, at a sample that asks for an account',
        'no-pass' => 'Somebody we know who has no pass',
        'other-tier' => 'A pass of another tier',
        'other-part' => 'A pass of another part of the course',
        'other-people' => 'A pass, at a row for other people',
        'too-early' => 'Too early',
        'held' => 'Only for whoever it is handed to',
        'finish-first' => 'Something to finish first',
        'stuck' => 'Something first that their pass never opens',
        'ended' => 'A pass that has ended',
        'paused' => 'A pass that is paused',
        'withdrawn' => 'A pass that was withdrawn',
        'closed' => 'The lesson has closed',
        'no-guests' => 'A guest who is not admitted',
        'no-observers' => 'An observer who is not admitted',
        'course-not-open' => 'The course has not begun',
        'course-over' => 'The course is over',
        'course-retired' => 'The course is retired',
    ],
    'short' => [
        'unknown' => 'sign in',
        'account' => 'account',
        'no-pass' => 'no pass',
        'other-tier' => 'tier',
        'other-part' => 'other part',
        'other-people' => 'not for them',
        'too-early' => 'later',
        'held' => 'by hand',
        'finish-first' => 'first',
        'stuck' => 'stuck',
        'ended' => 'ended',
        'paused' => 'paused',
        'withdrawn' => 'withdrawn',
        'closed' => 'closed',
        'no-guests' => 'guests',
        'no-observers' => 'observers',
        'course-not-open' => 'not begun',
        'course-over' => 'over',
        'course-retired' => 'retired',
    ],
    'placeholders' => [
        'title' => 'the lesson',
        'course' => 'the course',
        'name' => 'who reads it',
        'opens' => 'when it opens, with the zone',
        'first' => 'what is to be finished first',
        'tiers' => 'the tiers it is for',
        'pass' => 'their pass',
        'left' => 'how long that goes on',
        'offer' => 'the offer that opens it soonest, of those that they may take',
        'offers' => 'all offers that open it and that they may take',
        'price' => 'the price of the one that opens it soonest',
        'school' => 'the school',
        'contact' => 'whom to ask',
    ],
    'otherwise' => [
        'name' => 'a visitor',
        'opens' => 'later',
        'first' => 'what comes first',
        'tiers' => 'another tier',
        'pass' => 'your pass',
        'left' => 'some time',
        'offer' => 'a pass',
        'offers' => 'a pass',
        'price' => 'its price',
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
        'other-tier' => [
            'heading' => '{title} is for {tiers}',
            'text' => 'Your pass of {course} is of another tier.',
        ],
        'other-part' => [
            'heading' => '{title} is not in your pass',
            'text' => 'Your pass covers another part of {course}.',
        ],
        'other-people' => [
            'heading' => '{title} is not for everybody',
            'text' => 'It is for some of those who take {course}.',
        ],
        'too-early' => [
            'heading' => '{title} is not open yet',
            'text' => 'It opens {opens}.',
        ],
        'held' => [
            'heading' => '{title} is handed out',
            'text' => '{contact} opens it to whoever is to have it.',
        ],
        'finish-first' => [
            'heading' => 'Something comes before {title}',
            'text' => 'Finish {first} first, and it opens at once.',
        ],
        'stuck' => [
            'heading' => '{title} waits for something else',
            'text' => 'What comes first is not in your pass.',
        ],
        'ended' => [
            'heading' => 'Your pass has ended',
            'text' => 'What you have finished is still recorded.',
        ],
        'paused' => [
            'heading' => 'Your pass is paused',
            'text' => 'What you have finished is still recorded.',
        ],
        'withdrawn' => [
            'heading' => 'Your pass was withdrawn',
            'text' => 'Ask {contact} what became of it.',
        ],
        'closed' => [
            'heading' => '{title} has closed',
            'text' => 'It is not open any more.',
        ],
        'no-guests' => [
            'heading' => '{title} is shown to learners alone',
            'text' => 'If you hold a pass, sign in with it.',
        ],
        'no-observers' => [
            'heading' => '{title} is shown to learners alone',
            'text' => 'Those who look in on a learner do not see it.',
        ],
        'course-not-open' => [
            'heading' => '{course} has not begun',
            'text' => 'It opens {opens}.',
        ],
        'course-over' => [
            'heading' => 'The course is over',
            'text' => '{course} is not given at present.',
        ],
        'course-retired' => [
            'heading' => 'The course is over',
            'text' => '{course} is not given any more.',
        ],
    ],
];
