<?php

declare(strict_types=1);

/*
 * The page of what was open to somebody, when, and why. Patterns are ICU messages.
 */
return [
    'title' => '{name}: what was open, and when',
    'heading' => 'What was open to {name}',
    'told' => 'Each answer is the one that was given then, by the rules and by what was known of them that day.',
    'whole_since' => 'All is known since {when}. What is told of before is what the school’s history can tell.',
    'course' => 'Course',
    'with' => 'Looking in',
    'alone' => 'As themselves',
    'with_name' => 'With {name}',
    'no_course' => 'No course was published yet.',
    'rows' => 'The course then',
    'story' => 'Day by day',
    'nothing' => 'Nothing has happened here.',
    'opens' => 'Opened: {titles}',
    'shuts' => 'Closed: {titles}',
    'more' => '{titles} and {count, plural, one {one more} other {# more}}',
    'since' => 'since {when}',
    'former' => 'not in the course any more',
    'file' => 'As a signed file',
    'print' => 'Print',
    'back' => 'Their page',
    'why' => 'Why {title} was as it was on {when}: {state}',
    'why_failed' => 'Why it was so cannot be told just now.',
    'only_row' => 'Only what happened to {title}',
    'all_rows' => 'All rows',
    'by' => 'by {name}',
    'not_there' => 'not there yet',
];
