<?php

declare(strict_types=1);

/*
 * Who looks, what is expected of it, and what a look says. Patterns are ICU messages.
 */
return [
    'revision' => 'revision {number}{noted, select, yes {: “{note}”} other {}}',
    'expectations' => [
        'there_no_such_viewer' => 'There is no such viewer any more.',
        'row_not_there_any' => 'The row is not there any more.',
        'it_opens_only_when' => 'It opens only {when}.',
        'it_is_word' => 'It is {word}.',
        'it_opens_when' => 'It opens {when}.',
        'let_in' => '{who} is let into {title}',
        'never_let_in' => '{who} is never let into {title}',
        'not_let_in' => '{who} is not let into {title}',
    ],
    'openings' => [
        'here_still_when' => 'Here: still {when}.',
        'here_when_becomes_when2' => 'Here: {when} becomes {when2}.',
        'title_follows_when_becomes' => '{title} follows: {when} becomes {when2}.',
        'and_more_more_follow' => 'And {more} more follow.',
    ],
    'sight_files' => [
        'opens' => '{list} opens',
        'closes' => '{list} {count, plural, one {closes} other {close}}',
        'what_a_viewer_sees' => 'What a viewer sees',
        'value_from_what' => '; {value} from {what}',
        'look_only' => ', look only',
    ],
    'sight_table' => [
        'to_cell_date' => 'to {cell_date}',
        'other_tier' => 'other tier',
        'other_pass' => 'other pass',
        'finish_first' => 'finish first',
    ],
    'vantage_words' => [
        'not_signed_in' => 'not signed in',
        'by_the_guest_door' => 'by the guest door',
        'signed_in_no_pass' => 'signed in, no pass',
        'somebody_signed_in_without' => 'somebody signed in without a pass',
        'of_name' => 'of {name}',
        'an_observer_of_name' => 'an observer of {name}',
        'day_day' => 'day {day}',
        'begins_tomorrow' => 'begins tomorrow',
        'begins_in_day_days' => 'begins in {day} days',
        'no_pass' => 'no pass',
        'no_active_pass' => 'no active pass',
        'holder' => '{offer}, {day}{diligent, select, yes {, all finished} other {}}{labels}',
        'with_labels' => 'with {labels}',
        'visitor' => 'Visitor',
        'a_visitor' => 'a visitor',
        'guest' => 'Guest',
        'a_guest' => 'a guest',
        'member' => 'Member',
        'observer' => 'Observer',
    ],
];
