<?php

declare(strict_types=1);

// The page Today; what it tells of the school stands in today_told.php.
return [
    'question' => 'Why can somebody not see something?',
    'why_can' => 'Why can',
    'who' => 'who',
    'not_see' => 'not see',
    'what' => 'what',
    'mark' => '?',
    'more' => 'and {count, number} more',
    'say_why' => 'Say why',
    'asked' => 'Why can {who} not see {what}?',
    'answer' => 'The answer',
    'nobody' => 'Nobody is called that.',
    'nothing' => 'No row of a published course is called that.',
    'nothing_next' => 'Nothing more opens this week.',
    'the_week' => 'What opens, closes and ends this week, by course and day',
    'this_week' => 'This week',
    'previous' => 'before',
    'following' => 'next',
    'now' => 'today',
    'people' => '{count, plural, one {# person} other {# people}}',
    'no_passes' => 'Nobody holds a pass of a published course yet: the week fills itself when somebody does.',
    'counting' => 'Counting for how many people…',
    'first' => 'To a course that a visitor can look at',
    'first_note' => '{done, number} of {of, number} steps',
    'first_done' => 'done',
    'ending' => 'Passes ending soon',
    'ending_note' => 'in the next ten days',
    'none_ending' => 'No pass ends within ten days.',
    'findings' => 'Findings',
    'none_found' => 'Nothing is found in what is live.',
    'changed' => 'What changed',
    'changed_note' => 'in the last seven days',
    'none_changed' => 'Nothing waits, and nothing was changed.',
];
