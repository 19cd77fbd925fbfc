<?php

declare(strict_types=1);

/*
 * A course in numbers: charts, and what stands under them. Patterns are ICU messages.
 */
return [
    'title' => 'In numbers',
    'of' => '{title} in numbers',
    'back' => 'To the course',
    'counting' => '{looked, number} of {of, number} people looked at so far',
    'not_live' => 'This course is not live yet: nobody is anywhere in it.',
    'nobody' => 'Nobody has held a pass of this course in the last twelve weeks.',
    'table' => 'As a table',
    'week' => 'Week from',
    'when' => 'As it was on',
    'where' => [
        'title' => 'Where learners are',
        'told' => 'The module in which the next lesson lies that is asked of each who holds a pass, as each week began. A change of a module meets those who have not come there yet.',
    ],
    'opens' => [
        'title' => 'What opens, week by week',
        'told' => 'For how many people something opens, if they finish nothing more until then; this week and eleven more.',
        'people' => 'People for whom something opens',
        'openings' => 'Openings in all',
        'none' => 'Nothing opens by itself in these weeks.',
    ],
    'trials' => [
        'title' => 'Trials',
        'told' => 'Begun, ended, and taken up: somebody who had tried the course was given another pass of it.',
        'begun' => 'Begun',
        'ended' => 'Ended',
        'taken' => 'Taken up',
        'none' => 'No trial began or ended in these weeks.',
    ],
];
