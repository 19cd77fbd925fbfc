<?php

declare(strict_types=1);

/*
 * Publishing, its rehearsal, and plan files. Patterns are ICU messages.
 */
return [
    'put_plan' => [
        'this_course' => 'has to be the course {key} alone',
    ],
    'import_plan' => [
        'imported_from_plan_file' => 'Imported from a plan file',
        'school_lives_in_zone' => 'this school lives in {zone}; wall-clock times of another zone would move',
        'another_course_school_has' => 'another course of this school has an offer of this key: {describe}',
        'school_has_course_key' => 'this school has a course {key} already',
        'school_has_course_key_with' => 'this school has a course {key} with other rules already; import with --publish to make these its next revision',
        'a_plan_file' => 'a plan file',
        'would_take' => 'would take something from {losers, plural, one {one person} other {# people}}, or put it off; look with keep:impact, then import with --take-away',
        'lets_guests_in' => 'this school lets guests in; the plan was made for the opposite',
        'lets_no_guests' => 'this school lets no guests in; the plan was made for the opposite',
    ],
    'publish_due' => [
        'was_go_live_when' => 'It was to go live {when}, and did not. {why}',
    ],
    'rehearsal' => [
        'somebody_signed_in_without' => 'Somebody signed in, without a pass',
        'whoever_takes_title_then' => 'Whoever takes {title} then',
        'observer_whoever_takes_title' => 'An observer of whoever takes {title} then',
        'a_visitor' => 'A visitor',
        'a_guest' => 'A guest',
    ],
    'take_back_revision' => [
        'back_to_revision_number' => 'Back to revision {number}',
    ],
    'effects' => [
        'lose' => 'lose it now',
        'pause' => 'lose it for a while',
        'lose_work' => 'may look but no longer work',
        'shorter' => 'have it for a shorter time',
        'never' => 'would no longer come to it',
        'later' => 'come to it later',
        'gain' => 'gain it now',
        'gain_work' => 'may work, not only look',
        'longer' => 'have it for longer',
        'sooner' => 'come to it sooner',
    ],
    'effects_on_one' => [
        'lose' => 'loses now: {titles}{more, plural, =0 {} other { and # more}}',
        'pause' => 'loses for a while: {titles}{more, plural, =0 {} other { and # more}}',
        'lose_work' => 'may no longer work in: {titles}{more, plural, =0 {} other { and # more}}',
        'shorter' => 'has for a shorter time: {titles}{more, plural, =0 {} other { and # more}}',
        'never' => 'no longer comes to: {titles}{more, plural, =0 {} other { and # more}}',
        'later' => 'comes later to: {titles}{more, plural, =0 {} other { and # more}}',
        'gain' => 'gains now: {titles}{more, plural, =0 {} other { and # more}}',
        'gain_work' => 'may now work in: {titles}{more, plural, =0 {} other { and # more}}',
        'longer' => 'has for longer: {titles}{more, plural, =0 {} other { and # more}}',
        'sooner' => 'comes sooner to: {titles}{more, plural, =0 {} other { and # more}}',
    ],
];
