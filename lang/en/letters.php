<?php

declare(strict_types=1);

/** Letters to people. Patterns are ICU messages. */
return [
    'secret' => '[a link that only they were sent]',
    'link' => "Dear {name},\n\n{before}\n\nSign in here; the link works once, for {days, plural, one {# day} other {# days}}:\n{address}\n",
    'sign_in' => [
        'subject' => 'Your link to sign in',
        'before' => 'You asked for a link to sign in.',
    ],
    'observer' => [
        'subject' => '{count, plural, one {You can look in on {name}} other {You can look in on # learners}}',
        'line' => "{name}\n  {address}",
        'line_courses' => "{name}: {courses}\n  {address}",
        'body' => "Dear {name},\n\nfrom now on you see what these learners see, and how far they are. You look; you finish nothing for them.\n\n{lines}\n{more, plural, =0 {} one {and one more: {courses}\n} other {and # more: {courses}\n}}\nSign in with this address. If you have no password, have a link sent to you there.\n",
    ],
    'missed' => [
        'subject' => 'Your payment for {offer} has not come',
        'body' => "Dear {name},\n\nthe payment for {offer} that was due has not come. It goes on until {at} ({zone}) and ends then, unless it is paid. What you have finished stays, and whoever comes back goes on where they were.\n",
    ],
    'account' => [
        'subject' => 'You have been given an account',
        'before' => 'You have been given an account.',
    ],
    'address' => [
        'subject' => 'Is this your address?',
        'before' => 'Somebody, probably you, has given this address here ({why}). If it was you, use the link: what you got there is yours then on every device, in your account where you have one. If it was not, do nothing.',
        'to_buy' => 'by buying {offer}',
        'to_look' => 'to look at a sample',
    ],
    'next_run' => [
        'subject' => '{course} runs again',
        'body' => "Dear {name},\n\nyou asked to be told: {course} runs again at {school}.\n\n{address}\n\nThis was the one letter that you asked for. If you ask again you are told again; if you never want to be: {stop}\n",
        'body_from' => "Dear {name},\n\nyou asked to be told: {course} runs again at {school}, from {opens}.\n\n{address}\n\nThis was the one letter that you asked for. If you ask again you are told again; if you never want to be: {stop}\n",
    ],
];
