<?php

declare(strict_types=1);

/*
 * What pages are sent besides. Patterns are ICU messages.
 */
return [
    'cover' => [
        'by_key' => 'Its own',
        'drawing_planks' => 'Planks',
        'drawing_frames' => 'Frames',
        'drawing_sails' => 'Sails',
        'drawing_arches' => 'Boathouses',
        'drawing_oars' => 'Oars',
        'drawing_waves' => 'Waves',
        'drawing_rings' => 'Rings',
    ],
    'notices' => [
        'copy' => [
            'shared' => 'Shared: {name}',
            'own' => '{at}: {who}{tied, select, yes {, for holders of {offer}} other {}}',
        ],
        'shared' => [
            'whole_school' => 'Every course',
        ],
        'findings' => [
            'link' => 'The link to {address} in a text leads to nothing that a stranger may see.',
            'stranger' => '“{button}” leads to nothing that a stranger may see.',
            'nobody' => '“{button}” leads nowhere for anybody who meets this: it is never shown.',
            'in_course' => '“{button}” on a notice ({who}) leads nowhere for anybody who meets it: it is never shown.',
            'not_for' => '“{button}” is left out for {names}.',
        ],
        'preview' => [
            'a_lesson' => 'A lesson',
            'left' => '12 days left',
            'nobody' => 'They are not there any more.',
            'not_met' => 'No such door here is met by {name}.',
            'not_met_here' => 'This is not met here by {name}.',
            'met' => 'As met by {name} at {item}, with what you have typed',
        ],
    ],
    'contents_page_builder' => [
        'nothing_of_it_to_take' => 'Nobody is offered it now: there is nothing of {course} that anybody could take.',
        'finished_by_watching_video' => 'It is finished by watching a video, and holds none.',
        'finished_by_quiz_and' => 'It is finished by a quiz, and holds no questions.',
    ],
    'course_head_builder' => [
        'open_to_anyone' => 'Open to anyone',
        'whoever_signs_up' => 'Whoever signs up',
        'by_offer' => 'By offer',
        'by_invitation' => 'By invitation',
        'no_season' => 'no season',
        'until_local' => 'until {local}',
        'from_local' => 'from {local}',
        'season_local_to_local2' => 'season {local} to {local2}',
        'doors' => '{entry} · guest door {guest}{guests, select, marked {, only where marked} other {}} · observer door {observer}{observers, select, follow {, observers follow their learner} marked {, observers see what is marked} other {}} · {season}',
        'open' => 'open',
        'shut' => 'shut',
        'open_with_phrase' => 'open with a pass phrase',
    ],
    'given_up_rows' => [
        'discarded' => 'Thrown away {when}, by {who}',
        'undone' => 'Undone, and something else set {when}, by {who}',
        'contents' => 'What {title} was to hold',
    ],
    'rehearsal_page_builder' => [
        'the_program' => 'the program',
        'count_edits' => ', {count} edits',
    ],
    'notices_page_builder' => [
        'eira_holm' => 'Eira Holm',
    ],
    'offers_page_builder' => [
        'not_sold' => 'not sold',
    ],
    'people_page_builder' => [
        'item_title_title_since' => '{item_title} ({title}), since {when}',
        'finished_of_all' => '{finished} of {all}',
        'last_here' => 'Last here ({zone})',
        'not_confirmed' => '{address} (not confirmed)',
    ],
    'person_page_builder' => [
        'tried' => '{tries, plural, one {# try} other {# tries}}{of, plural, =-1 {} other { of #}}, {best, number} % at best, last {when}',
        'what_was_finished_by' => 'what was finished with it was erased, or kept, {when}',
        'what_was_finished_erased' => 'what was finished is erased {when}, unless another pass keeps it',
        'the_program' => 'the program',
        'not_confirmed' => '{address} (not confirmed: the link in their letter was not used yet)',
    ],
    'shop_page_builder' => [
        'taken_back' => 'taken back',
        'upgrade_holds_its_place' => 'an upgrade holds its place',
        'ended_when' => 'ended {when}',
        'payment_was_missed_ends' => 'a payment was missed; ends {when}',
        'paid_to_when' => 'paid to {when}',
        'payment_payment_came' => 'Payment {payment} came',
        'payment_payment_did_not' => 'Payment {payment} did not come',
    ],
    'flash' => [
        'somebody_else_has_changed' => 'Somebody else has changed {what} since you opened it. Nothing was saved; what you typed is still here. Reload the page to see theirs.',
    ],
    'sightlines_page_builder' => [
        'they_hold_until_when' => 'They hold it until {when}; a renewal begins then.',
        'once_published' => 'Once the draft is published: {word}.',
        'once_published_later' => 'Once the draft is published: it opens {when}.',
        'once_published_gone' => 'Once the draft is published it is not there any more.',
        'as_published' => 'As it is published now: {word}.',
        'as_published_later' => 'As it is published now: it opens {when}.',
        'as_published_gone' => 'As it is published now it is not there.',
        'one_gate_is_shut' => 'one gate is shut',
        'shut_gates_are_shut' => '{shut} gates are shut',
        'as_all_staff' => 'as it is to all staff',
        'by_pass_all_gates' => 'by the pass: all gates are passed',
        'by_what_was_handed' => 'by what was handed out',
        'as_course_anyone' => 'as the course is to anyone',
        'by_the_observer_door' => 'by the observer door',
        'by_the_guest_door' => 'by the guest door',
        'nothing_that_one_setting' => 'Nothing that one setting, one pass or waiting does would open it.',
        'it_opens_by_itself' => 'It opens by itself.',
        'opens_by_itself_these' => 'It opens by itself; these would open it too:',
        'time_alone_will_not' => 'Time alone will not. This would:',
        'time_alone_will_not_any' => 'Time alone will not. Any one of these would:',
        'as_a_sample' => 'as a sample',
    ],
    'workspace_page_builder' => [
        'this_message' => 'This {message}.',
    ],
    'retirement' => [
        'for_good' => 'Passes that people hold then last for good. That can be taken back for each offer, in People.',
        'listed' => 'The front names it among the courses that are over.',
        'not_listed' => 'The front names it no longer.',
        'takes' => 'Whoever comes to it can ask to be told when it runs again.',
        'does_not_take' => 'Nobody can ask any more to be told when it runs again.',
        'address_closing' => 'Its address becomes /courses/{address}; /courses/{old} leads there.',
        'address_nothing' => 'Its address becomes /courses/{address}; /courses/{old} answers as if nothing were there.',
        'address_back' => 'Its address becomes /courses/{address} again.',
    ],
    'run_again' => [
        'season_opens' => 'The season begins',
        'season_closes' => 'The season ends',
        'opens' => '{title} opens',
        'closes' => '{title} closes',
        'only_from' => '{title} is for whoever comes from then on',
        'only_until' => '{title} is for whoever comes before',
        'lasts' => 'Passes of {title} end',
    ],
];
