<?php

declare(strict_types=1);

// What Today says: written by the program, in App\Pages\Today.
return [
    'week' => 'This week {opens, plural, =0 {nothing opens} one {# thing opens} other {# things open}}{ends, plural, =0 {} one { and # ends} other { and # end}}',
    'next' => 'Next: {title} opens for {count, plural, one {# person} other {# people}} in {course}, {when}.',
    'passes' => '{count, plural, one {# pass} other {# passes}}',
    'retired' => 'retired, {count, plural, one {# person keeps it} other {# people keep it}}',
    'until' => 'season until {when}, {passes}',
    'closes' => '{title} closes',
    'begins' => '{title} begins',
    'ends' => '{title} ends',
    'season_ends' => 'The season ends',
    'from_time' => 'from {time}',
    'show' => 'Show',
    'extend' => 'Extend',
    'see_them' => 'See them',
    'review' => 'Review',
    'take_back' => 'Take back',
    'one_ends' => '{who}, {offer}, {course}',
    'several_end' => '{count, plural, one {# person} other {# people}}, {offer}, {course}',
    'today' => '{when}, today',
    'tomorrow' => '{when}, tomorrow',
    'waits' => '{count, plural, one {# change waits} other {# changes wait}} in {course}',
    'not_live' => 'Not live yet.',
    'goes_live' => 'Goes live {when}.',
    'published' => '{who} published revision {number} of {course}',
    'schedule' => 'The schedule',
    'act' => '{what} ({count, plural, one {# person} other {# people}})',
    'schedule_ran' => 'The schedule ran last on {when}.',
    'schedule_never' => 'The schedule has not run here.',
    'queue' => '{waiting, plural, =0 {Nothing waits in the queue} one {# task waits in the queue} other {# tasks wait in the queue}}{failed, plural, =0 {.} one {, # has failed.} other {, # have failed.}}',
    'letters' => 'In the last day {sent, plural, =0 {no letter was sent} one {# letter was sent} other {# letters were sent}}{failed, plural, =0 {.} one {, # came back.} other {, # came back.}}',
    'triggers' => 'In the last day triggers were set off {count, plural, =0 {for nobody} one {# time} other {# times}}.',
];
