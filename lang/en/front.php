<?php

declare(strict_types=1);

/** What the server tells those who have not come in yet: the front, and courses from outside. Patterns are ICU messages. */
return [
    'takes' => [
        'minutes' => '{minutes, number} min',
        'hours' => '{hours, number} h',
        'hours_minutes' => '{hours, number} h {minutes, number} min',
        'about' => 'about {hours, number} h',
        'lessons' => '{count, plural, one {# lesson} other {# lessons}}',
        'films' => '{count, plural, one {# film} other {# films}}',
        'quizzes' => '{count, plural, one {# quiz} other {# quizzes}}',
        'film' => 'film',
        'quiz' => 'quiz',
        'paced' => '{takes} · {pace}',
    ],
    'pace' => [
        'at_once' => 'all at once',
        'daily' => 'a {unit, select, module {module} other {lesson}} a day',
        'weekly' => 'a {unit, select, module {module} other {lesson}} a week',
        'fortnightly' => 'a {unit, select, module {module} other {lesson}} every second week',
        'monthly' => 'a {unit, select, module {module} other {lesson}} a month',
        'over_days' => 'over {count, plural, one {# day} other {# days}}',
        'over_weeks' => 'over {count, plural, one {# week} other {# weeks}}',
        'opens' => 'opens {date}',
    ],
    'part' => [
        'told' => 'Courses {first, number} to {last, number} of {of, number}',
        'earlier' => 'Those before',
        'later' => 'More courses',
    ],
    'price' => [
        'from' => 'from {price}',
        'free' => 'free',
        'invite' => 'by invitation',
        'later' => 'to be had from {date}',
        'none' => 'not to be had just now',
        'mine' => 'You have this: {finished, number} of {lessons, number}',
    ],
    'act' => [
        'look' => 'Have a look first',
        'start' => 'Start',
        'go_on' => 'Go on',
        'season' => 'See the season',
        'ask' => 'Ask us',
        'see' => 'See the course',
    ],
    'opens' => [
        'at_once' => 'at once',
        'day' => 'day {day, number}',
        'week' => 'a {weekday}, week {week, number}',
        'lasts' => '{count, plural, one {# day} other {# days}}',
        'of' => '{covered, number} of {lessons, number}',
        'covers' => '{covered, number} of {lessons, plural, one {# lesson} other {# lessons}}',
    ],
    'rows' => [
        'look' => 'have a look',
        'in_order' => 'one after the other',
    ],
    'season' => [
        'both' => 'Runs {from} to {until}',
        'from' => 'Begins {from}',
        'until' => 'Ends {until}',
    ],
];
