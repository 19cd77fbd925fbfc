<?php

declare(strict_types=1);

/*
 * What is told of somebody's past by the server. Patterns are ICU messages.
 */
return [
    'by' => [
        'school' => 'the school',
        'somebody' => 'somebody',
        'gone' => 'somebody who is not here any more',
        'trigger' => 'the trigger {name}',
        'token' => 'the interface, {name}',
        'shop' => 'the shop',
        'visitor' => 'a visitor',
        'outside' => 'another program',
        'program' => 'the program',
        'import' => '{name}, brought in by {by}',
    ],
    'person' => [
        'came' => 'They became known here.',
        'gone' => 'They left.',
        'role' => '{role, select, none {They do not work for the school any more.} other {They work for the school as {role}.}}',
    ],
    'pass' => [
        'made' => '{title} given, from {from}, {until}.',
        'gone' => '{title} taken back.',
        'offer' => 'The pass became {title}.',
        'state' => '{state, select, paused {{title} paused.} revoked {{title} withdrawn.} other {{title} active again.}}',
        'ends' => '{title} lasts {until}, and not {was} as before.',
        'begins' => '{title} counts from {from} now.',
    ],
    'label' => ['made' => 'Label {title}, {until}.', 'gone' => 'Label {title} taken away.'],
    'grant' => ['made' => '{title} handed out, {until}.', 'gone' => '{title}, which had been handed out, taken back.'],
    'finished' => ['made' => '{title} finished.', 'earlier' => '{title} marked as finished since {when}.', 'gone' => '{title} does not count as finished any more.'],
    'tie' => ['made' => '{name} tied, to look in.', 'gone' => '{name} tied no longer.'],
    'edits' => ['made' => 'They edit this course from now on.', 'gone' => 'They do not edit this course any more.'],
    'file' => [
        'head' => "{school}\nWhat was open to {name}, and when: {course}\nAs the ledger of the school has it, {when} ({zone}).",
        'whole' => 'The ledger knows all since {when}. Of the time before, it tells what the school’s history can tell.',
        'opened' => 'Open from then on: {titles}',
        'closed' => 'Closed from then on: {titles}',
        'end' => 'This file is signed. The school says whether it is as it was; so can anybody who has its public key: signature.jws is a JSON Web Signature over the SHA-256 of each file.',
    ],
    'seen' => '{title} looked at{times, plural, =1 {} other {, # times that day}}',
    'met' => 'Notice met at {title}: {case}{times, plural, =1 {} other {, # times that day}}',
    'published' => 'Revision {number} went live{noted, select, yes {: “{note}”} other {}}.',
    'guest_link' => 'The link for guests was changed.',
    'offer_labels' => 'The offer {title} gives other labels from now on.',
    'school' => ['zone' => 'The school’s clock became that of {zone}.', 'guests' => '{in, select, yes {The school lets guests in again.} other {The school lets no guests in any more.}}'],
    'for_good' => 'for good',
    'until' => 'until {when}',
    'opened_by_rule' => 'Opened: {rule}.',
    'opened' => 'Opened, for its day had come.',
    'shut' => 'Closed: {why}.',
    'open' => 'open',
    'open_to_look' => 'open, to look at only',
    'rules' => 'By revision {number}, which was live then.',
    'shut_then' => '{shut, plural, one {One gate was shut} other {# gates were shut}}',
    'known_now' => 'It would have been {state}, had it been known what was entered later: {what}',
    'no_such_row' => 'That row was not there then, or the course was not published.',
    'no_row_then' => 'The course had no such row then.',
    'not_published' => 'The course was not published.',
];
