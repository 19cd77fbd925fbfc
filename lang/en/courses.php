<?php

declare(strict_types=1);

/*
 * The list of courses, and a new one. Patterns are ICU messages.
 */
return [
    'courses' => [
        'courses' => 'Courses',
        'new_course' => 'New course',
        'no_course_yet' => 'No course yet.',
        'read_the_file' => 'Read the file',
        'make_the_course' => 'Make the course',
        'outline_and_rules' => 'Outline and rules',
        'from_nothing' => 'From nothing',
        'like_title' => 'Like {title}',
        'from_a_plan_file' => 'From a plan file',
        'plan_file_silent_keep' => 'Plan file (silent-keep.plan/1, JSON)',
        'course' => 'Course',
        'state' => 'State',
        'who_gets_in' => 'Who gets in',
        'lessons' => 'Lessons',
        'holders_now' => 'Holders now',
        'published' => 'Published',
        'in_the_draft' => 'In the draft',
        'not_yet' => 'not yet',
        'what_it_is' => '{none} A course is an outline of modules and lessons with rules for who sees what, and when.',
        'begin_with' => 'Begin with {new}: from nothing, or from a plan file.',
        'unseen' => 'Nobody sees it before it is published.',
        'unseen_file' => 'All the courses in the file, or none. Nobody sees it before it is published.',
        'revision' => 'revision {number}, {when}',
        'changes' => '{count, plural, one {# change} other {# changes}}',
        'goes_live' => ', live {when}',
        'did_not' => ', did not go live',
    ],
];
