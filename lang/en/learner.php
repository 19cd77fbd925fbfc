<?php

declare(strict_types=1);

/** What the server tells learners and visitors, closed doors left aside (closed.php). Patterns are ICU messages. */
return [
    'path' => [
        'in_order' => 'One after the other',
        'finished' => 'Finished {date}',
        'open' => 'Open',
        'open_until' => 'Open, to {at}',
        'sample' => 'A sample, open to everyone',
        'sample_until' => 'A sample, open to everyone, to {at}',
    ],
    'left' => [
        'days' => '{count, plural, one {# day left} other {# days left}}',
        'hours' => '{count, plural, one {# hour left} other {# hours left}}',
        'minutes' => '{count, plural, one {# minute left} other {# minutes left}}',
    ],
    'as' => [
        'guest' => 'as a guest',
        'with' => 'with {name}',
    ],
    'pass' => [
        'for_good' => '{offer}, for good',
        'until' => '{offer}, to {at}',
        'not_active' => 'Your pass is not active',
        'paused' => '{offer}, paused',
        'withdrawn' => '{offer}, withdrawn',
        'ended' => '{offer}, ended {at}',
        'begins' => '{offer}, begins {at}',
    ],
    'entry' => [
        'anyone' => 'Open to anyone',
        'signup' => 'For whoever signs up',
        'offer' => 'By offer',
        'invite' => 'By invitation',
        'samples' => 'Samples to look at',
    ],
    'shop' => [
        'opens' => 'Opens it {at}, {until}',
        'opens_once' => 'Opens it {at}, once what comes first is finished, {until}',
        'opens_now' => 'Opens it at once, {until}',
        'opens_now_once' => 'Opens it at once, once what comes first is finished, {until}',
        'covers' => '{covered, number, integer} of {lessons, plural, one {# lesson} other {# lessons}}, {until}',
        'goes_on' => 'Goes on from {from}, {until}',
        'renews' => 'You hold it until {at}. This goes on from there.',
        'replaces' => 'It takes the place of what you hold: {offers}.',
        'from_until' => 'from {from} {until}',
        'for_good' => 'for good',
        'until' => 'to {at}',
        'until_in_zone' => 'to {at}, {zone}',
        'free' => 'free',
        'bought' => 'You hold {offer} now.',
        'bought_here' => 'You hold {offer} now. A letter is on its way to {address}: with its link you have it on every device.',
    ],
    // Why somebody cannot take an offer: one sentence.
    'terms' => [
        'not_sold' => 'This is not sold any more.',
        'invite' => 'This course is by invitation: the school gives out its passes.',
        'retired' => 'This course is not given any more.',
        'over' => 'This course has been over since {at}.',
        'from' => 'This is sold from {at}, {zone}.',
        'until' => 'This was sold until {at}, {zone}.',
        'sold_out' => 'All places have been taken.',
        'once' => 'You have had this once; it is there once for each person.',
        'not_after_course' => 'This is for those who have not held a pass of this course before.',
        'not_after' => 'This is not for those who hold, or have held, what you have.',
        'label' => 'This is for some of the people of this school, and you are not among them.',
        'paused' => 'You hold this already; it is paused. Ask the school to take it up again.',
        'held' => 'You hold this already, {until}.',
        'held_more' => 'You hold {offer}, {until}; it opens all of this.',
        'changed' => 'What you hold has changed since this page was opened. Nothing was done; please look again.',
        'too_late' => 'This would end before it opened anything.',
    ],
    'board' => [
        'somebody' => 'Somebody who has left',
    ],
    'calendar' => [
        'name' => 'My courses',
        'about' => 'Own openings',
        'opens' => '{course}: {item} opens',
        'closes' => '{course}: {item} closes',
    ],
    'quiz' => [
        'changed' => 'The quiz has changed since you opened it. Nothing was graded; please look at it again.',
    ],
    // What was begun and is not finished, told to the school.
    'under_way' => [
        'watched' => '{item}: {share, number} % watched, last {at}',
        'tried' => '{item}: {best, number} % right at best in {tries, plural, one {one try} other {# tries}}, last {at}',
    ],
    'lesson' => [
        'no_mark' => 'This lesson is not finished by a mark.',
    ],
    'account' => [
        'password_changed' => 'The password is changed. Everywhere else you are signed out.',
        'signed_out' => 'Everywhere else you are signed out.',
        'link_sent' => 'If the address is known here, a link to sign in is on its way.',
    ],
    // What is wrong with what was typed.
    'asked' => [
        'name' => 'Please type your name.',
        'email' => 'Please type your e-mail address.',
        'no_email' => 'This is not an e-mail address.',
        'password' => 'Please type your password.',
        'current' => 'Please type the password that you have now.',
        'not_current' => 'This is not the password that you have now.',
        'new_password' => 'Please type a new password.',
        'longer' => 'Please take at least twelve characters; a few words make a good one.',
        'not_the_same' => 'The two are not the same.',
        'phrase' => 'That is not the pass phrase.',
        'post' => 'Please write something first.',
        'post_long' => 'That is more than 5,000 characters; please say it in two posts.',
        'not_together' => 'This e-mail address and password do not belong together.',
        'too_many' => 'Too many attempts. Try again in {seconds, plural, one {# second} other {# seconds}}.',
        'letters' => 'Letters were asked for too often. Look for the last one, or try again in {minutes, plural, one {# minute} other {# minutes}}.',
        'too_long_open' => 'The page had been open for too long. Nothing was saved; please try again.',
    ],
];
