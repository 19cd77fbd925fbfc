<?php

declare(strict_types=1);

/*
 * People and their passes. Patterns are ICU messages.
 */
return [
    'act_on_people' => [
        'that_cannot_be_done' => 'That cannot be done.',
    ],
    'pass_words' => [
        'for_good' => 'for good',
        'to_day' => 'to {day}',
        'from_day' => 'from {day}',
        'ended_day' => 'ended {day}',
        'days_days' => '{days} days',
        'left_minutes' => '{left} minutes',
        'count_hours' => '{count} hours',
        'begins_in_days' => 'begins in {days}',
        'ended_days_ago' => 'ended {days} ago',
        'left' => '{days} left',
        'left_still' => '{days} left, standing still',
        'paused' => 'paused',
        'withdrawn' => 'withdrawn',
    ],
    'undo_act' => [
        'that_cannot_be_taken' => 'That cannot be taken back, or has been already.',
    ],
];
