<?php

declare(strict_types=1);

/*
 * How a school begins, and what is set for all of it. Patterns are ICU messages.
 */
return [
    'begin' => [
        'begin_a_school' => 'Begin a school',
        'name_of_the_school' => 'Name of the school',
        'time_zone' => 'Time zone',
        'all_times_all_rules' => 'All times of all rules are read in it. Another one later moves every opening; whom it touches is shown first.',
        'currency_what_sells' => 'Currency of what it sells',
        'your_name' => 'Your name',
        'your_e_mail_address' => 'Your e-mail address',
        'your_password' => 'Your password',
        'at_least_twelve_characters' => 'At least twelve characters; a few words make a good one.',
        'begin' => 'Begin',
    ],
    'counted' => [
        'looking' => 'People are looked at',
    ],
    'zone' => [
        'change' => 'Change…',
        'title' => 'Change the time zone',
        'zone' => 'Time zone',
        'told' => 'All rules are read by its wall clock from then on. What has been given stays where it is: when passes began and end, what is handed out until when, sales.',
        'none' => 'No course is published: nothing moves.',
        'keep' => 'Read all rules in this zone',
    ],
    'front' => [
        'title' => 'The front',
        'told' => 'What stands over the courses, for everybody.',
        'heading' => 'In large letters',
        'heading_told' => 'Left empty, the name of the school.',
        'text' => 'And beneath it',
        'picture' => 'Picture',
        'pick' => 'A picture for the front',
        'look' => 'Look at the front',
    ],
    'school' => [
        'school' => 'School',
        'settings' => 'Settings',
        'language' => 'Language of the learner’s side',
        'language_told' => 'Each learner can choose another in their account. What you write yourselves stands as you wrote it.',
        'language_en' => 'English',
        'language_nb' => 'Norwegian (bokmål)',
        'time_zone' => 'Time zone',
        'all_wall_clock_times' => 'All wall-clock times of all rules are read in it.',
        'currency_of_new_offers' => 'Currency of new offers',
        'guests_may_come_in' => 'Guests may come in where a course’s guest door is open',
        'whom_learners_ask' => 'Whom learners ask',
        'at_which_address' => 'At which address',
        'sender_name' => 'Letters come from',
        'sender_name_told' => 'Left empty, the name of the school.',
        'sender_email' => 'Their address',
        'sender_email_told' => 'Left empty, {address}.',
        'sender_hint' => 'The mail server must be allowed to send for that address: else letters come back, or are taken for spam.',
        'reply_email' => 'Answers to letters go to',
        'reply_email_told' => 'Left empty, to that address.',
        'warn_so_many_days' => 'Warn so many days before a trial that erases ends',
        'erase_so_many_days' => 'Erase so many days after it has ended',
        'sample_percent' => 'Samples may give away so many per cent',
        'sample_percent_told' => 'Of the lessons of a course, and of the minutes that they take: more than that is found by the checks.',
        'holidays' => 'Holidays',
        'holidays_told' => 'A line each: 2026-12-24, or a span such as 2026-12-24..2027-01-02. When a course is run again, what would open on one opens later.',
        'end_membership_so_many' => 'End a membership so many days after a payment was due that did not come',
    ],
];
