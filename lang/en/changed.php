<?php

declare(strict_types=1);

/*
 * What changed for whom between two instants. Patterns are ICU messages.
 */
return [
    'title' => 'What changed for whom',
    'of' => 'What changed for whom at {title}',
    'link' => 'What changed',
    'did' => 'What it did, and for whom',
    'from' => 'From',
    'until' => 'To',
    'show' => 'Show',
    'told' => 'As everybody stood at the one instant beside how they stood at the other, by the rules and by what was known then. Openings and endings that are still to come are compared, too.',
    'between' => '{from} to {until}',
    'by_revision' => 'Revision {number} went live {until}',
    'since' => 'Since',
    'since_pick' => 'a revision went live',
    'since_revision' => 'revision {number}, {at}',
    'counting' => '{looked, number} of {of, number} people looked at so far',
    'touched' => '{looked, plural, =0 {No one held anything here by then.} other {{touched, plural, =0 {Nothing changed for any} one {Something changed for one} other {Something changed for #}} of {looked, plural, one {one person} other {# people}}.}}',
    'observers' => 'For observers',
    'observers_told' => 'Each observer counts once with each of the learners they look in on, as these two stood together.',
    'observers_touched' => '{touched, plural, =0 {Nothing changed for any} one {Something changed for one} other {Something changed for #}} of {looked, plural, one {one} other {#}}.',
    'by' => 'By what',
    'adds_up' => 'A row of somebody is counted once, with what brought it about last: so these add up to all of it.',
    'rows' => '{items, plural, one {# row} other {# rows}}',
    'names' => '{more, plural, =0 {} other { and # more}}',
    'past' => 'What was open to {name}, and when',
    'kinds' => 'For whoever holds nothing',
    'foretold' => [
        'title' => 'Rehearsed, and what came',
        'told' => 'The rehearsal that was shown told of {for}, by what was known {made}.',
        'none' => 'No rehearsal was shown when it was published: it took nothing from anybody, or came from a file.',
        'same' => 'It came as it was foretold.',
        'effect' => 'What',
        'foretold' => 'Foretold',
        'came' => 'Came',
        'why' => 'Why it differs',
        'observers' => 'For observers',
    ],
    'whole' => 'The ledger knows all since {when}. Of the time before, it tells what the school’s history can tell.',
];
