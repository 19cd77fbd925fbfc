<?php

declare(strict_types=1);

/*
 * What is told of a change before it is published, of the publication, and of those that were. Patterns are ICU messages; what stands
 * for a link in them is put there by the page.
 */
return [
    'elsewhere' => 'The label {label} counts in {courses} too: what changes there is not in this rehearsal. Look there in Sightlines, with a pass of this course, before you publish.',

    'rehearsal' => [
        'title' => 'Rehearsal of {course}',
        'heading' => 'Rehearsal',
        'heading_back' => 'Rehearsal: back to revision {number}',
        'looked_at' => ' · looked at {people, plural, one {# person} other {# people}} who hold something of it{observers, plural, =0 {} one { and # observer} other { and # observers}}, as if published {at}, ahead to {until}',
        'now' => 'now',
        'kept' => ' · reckoned {at}, {anew}',
        'anew' => 'rehearse anew',
        'findings' => 'Findings',
        'in_all' => 'In all',
        'nobody' => 'Nobody who holds something of this course is touched.',
        'observers_alone' => 'Nobody who holds something of this course is touched, but observers are.',
        'holders' => 'Of those who hold something of it',
        'items' => 'Item by item',
        'observers' => 'Observers',
        'of_observers' => 'Of their observers, each with one learner',
        'observers_items' => 'What observers see, item by item',
        'kinds' => 'Kinds of viewers',
        'newcomers' => 'Those who come anew',
        'names' => '{more, plural, =0 {} other { and # more}}',
        'write' => 'Write to them',
    ],
    'progress' => [
        'title' => 'Progress',
        'heading' => 'Looking at everybody who holds something of it',
        'looked' => 'People looked at',
        'stopped' => 'It stopped: the server did not answer, or the draft is gone. {go_on}',
        'go_on' => 'Go on',
        'far' => '{done, number} of {of, number} people and observers. You can leave this page: it goes on by itself, and is here when you come back.',
    ],
    'expected' => [
        'all_kept' => '{count, plural, one {The one expectation is kept} other {All # expectations kept}}',
        'not_kept' => '{count, plural, one {The one expectation is not kept} other {{broken, number} of # expectations not kept}}',
    ],
    'block' => [
        'draft' => '{count, plural, one {# change} other {# changes}} in the draft',
        'live' => '{count, plural, one {# change} other {# changes}} from what is live',
        'editors' => 'By {editors}.',
        'set' => 'Set to go live {at}. ',
        'set_changed' => 'It was set to go live {at}, but has been changed since: as it is, it will not. ',
        'unset' => 'Take the time back',
        'administrators' => 'Only administrators publish.',
        'unfinished' => 'It can be published once the rehearsal is finished.',
    ],
    'form' => [
        'takes' => 'Publishing takes something from {count, plural, one {# person} other {# people}}, or puts it off.',
        'takes_back' => 'Going back takes something from {count, plural, one {# person} other {# people}}, or puts it off.',
        'although' => 'Publish although {count, plural, one {# expectation is} other {# expectations are}} not kept any more',
        'when' => 'When',
        'at_once' => 'At once',
        'later' => 'At a set time',
        'at' => 'Day and time, school time',
        'at_told' => 'What is shown beside this is then reckoned for that time. If the draft is changed before, it does not go live, and the course says so.',
        'note' => 'Note for the history (may be left empty)',
        'go_back' => 'Make revision {number} live again',
        'set' => 'Set the time for {count, plural, one {# change} other {# changes}}',
        'publish' => 'Publish {count, plural, one {# change} other {# changes}}',
        'live' => 'It is live from that moment, and can be taken back in one step.',
    ],
    'discard' => [
        'lost' => '{count, plural, one {The change would be lost.} other {All # changes would be lost.}}',
        'do' => 'Throw {count, plural, one {it away} other {all # away}}',
        'keep' => 'Keep the draft',
        'ask' => 'Discard the draft…',
    ],
    'history' => [
        'title' => 'History of {course}',
        'heading' => 'History',
        'told' => '{course} · every publication, the newest first · {file}',
        'file' => 'plan file of what is live',
        'revision' => 'Revision {number}',
        'live' => 'live',
        'program' => 'the program itself',
        'note' => ' · “{note}”',
        'go_back' => 'Rehearse going back to it',
    ],
];
