<?php

declare(strict_types=1);

/*
 * What is told of changes of the school: its labels, its zone, whom they touch. Patterns are ICU messages.
 */
return [
    'labels' => [
        'in_course' => '{title}, in {course}',
        'in_draft' => '{title}, in the draft of {course}',
        'gone' => 'Nobody has “{label}” any more, and nothing names it.',
        'taken' => 'There is a label “{label}” already.',
        'same' => 'That is its name.',
        'needs_name' => 'Please type a name.',
        'no_comma' => 'A label has no comma in it.',
        'done' => '“{from}” is called “{to}” now.',
        'merged' => '“{from}” and “{to}” are one label now.',
        'note' => [
            'renamed' => 'The label “{from}” is called “{to}”',
            'merged' => 'The labels “{from}” and “{to}” are one',
        ],
    ],
    'counted' => [
        'so_far' => '{course}: {looked, number} of {of, number} people looked at so far',
        'all' => '{course}: {of, plural, =0 {nobody holds a pass} other {{any, plural, =0 {nobody of {of, number} is touched} one {1 person of {of, number} is touched} other {# people of {of, number} are touched}}}}{gain, plural, =0 {} one {; 1 gains something now} other {; # gain something now}}{lose, plural, =0 {} one {; 1 loses something now} other {; # lose something now}}{sooner, plural, =0 {} one {; something comes sooner for 1} other {; something comes sooner for #}}{later, plural, =0 {} one {; something comes later for 1} other {; something comes later for #}}{never, plural, =0 {} one {; something never comes for 1} other {; something never comes for #}}',
    ],
    'zone' => [
        'shift' => 'At present what the rules say for 09:00 comes {later, select, yes {{hours, number} h later} other {{hours, number} h sooner}} than now.',
        'no_shift' => 'At present both clocks show the same time; they may part when one of them goes over to summer time.',
        'done' => 'All rules are read in the zone {zone} now.',
        'meanwhile' => 'Somebody else has changed the zone meanwhile: it is {zone} now.',
    ],
];
