<?php

declare(strict_types=1);

/*
 * What is done to people, and what it does to each. Patterns are ICU messages.
 */
return [
    'lose_it_now' => 'lose it now',
    'have_as_long_already' => 'have it as long already',
    'change_offer' => [
        'change_pass_name' => 'Change a pass to {name}',
        'hold_pass_another_course' => 'hold a pass of another course',
        'hold_that_one_already' => 'hold that one already',
        'hold_name_from_now' => 'hold {name} from now on',
    ],
    'end_pass' => [
        'have_had_has_ended' => 'have had it: it has ended',
        'end' => 'End a pass',
    ],
    'extend_pass' => [
        'extend_pass_when' => 'Extend a pass to {when}',
        'were_withdrawn_from_it' => 'were withdrawn from it',
        'extend_for_good' => 'Let a pass last for good',
        'have_for_good' => 'have it for good from now on',
        'have_for_good_already' => 'have it for good already',
        'extend_by' => 'Extend a pass by {days, plural, one {# day} other {# days}}',
        'have_to' => 'have it to {when}',
        'would_have_had' => 'would have had it to {when}',
    ],
    'give_pass' => [
        'give_name_from_when' => 'Give {name} from {when}',
        'what_name_opens_not' => 'What {name} opens is not published yet. Publish the course first.',
        'hold_for_as_long' => 'hold it for as long already',
        'for_good' => 'for good',
        'to_when' => 'to {when}',
        'get_it' => 'get it {until}',
        'get_it_carried_on' => 'get it {until}, its pacing carried on',
    ],
    'finish_item' => [
        'told' => 'Mark {title} as finished',
        'have_it_finished' => 'have it finished from now on',
        'have_already' => 'have finished it already',
        'nothing_to_finish' => 'There is nothing in that row that can be finished.',
    ],
    'give_try' => [
        'told' => 'Give one more try at {title}',
        'get_one' => 'get one more try, at once',
        'can' => 'can try it already',
        'not_tried' => 'have not tried it yet',
        'no_quiz' => 'There is no quiz in that row.',
    ],
    'grant_item' => [
        'hand_title_out' => 'Hand {title} out',
        'get_for_good' => 'get it for good',
    ],
    'pass_act' => [
        'hold_no_such_pass' => 'hold no such pass',
    ],
    'pause_pass' => [
        'are_paused_already' => 'are paused already',
        'were_withdrawn_from_it' => 'were withdrawn from it',
        'have_had_has_ended' => 'have had it: it has ended',
        'shut_out_until_taken' => 'are shut out until it is taken up again',
        'pause_still' => 'Pause a pass, its days standing still',
        'pause_going_on' => 'Pause a pass, its days going on',
    ],
    'people_acts' => [
        'not_date_and_time' => 'This is not a date and time.',
        'that_person_not_there' => 'That person is not there any more.',
        'there_nothing_that_kind' => 'There is nothing of that kind to be done.',
        'please_choose_an_offer' => 'Please choose an offer.',
        'that_course_not_there' => 'That course is not there any more.',
        'that_row_not_published' => 'That row is not published, or not there any more.',
    ],
    'begin_pass' => [
        'let_pass_begin' => 'Let it begin now',
        'has_begun' => 'have one that has begun',
        'have_it_now' => 'have it from now on',
    ],
    'resume_pass' => [
        'take_pass_up_again' => 'Take a pass up again',
        'are_not_paused' => 'are not paused',
        'have_it_again' => 'have it again',
        'have_again_for_good' => 'have it again, for good',
        'have_again_when' => 'have it again, to {when}',
    ],
    'join_list' => [
        'told' => 'Put on the mailing list as {label}',
        'join' => 'come on the list',
        'are_there' => 'are on the list so already',
        'not_confirmed' => 'have not shown that the address is theirs',
    ],
    'set_label' => [
        'that_is_over_already' => 'That is over already.',
        'get_it' => 'get it',
        'get_it_to_when' => 'get it to {when}',
        'by_hand' => 'by hand',
        'have_it_already' => 'have it already',
        'have_for_good_already' => 'have it for good already',
        'have_for_good_now' => 'have it for good now',
        'have_it_longer' => 'have it longer',
        'have_for_less_time' => 'have it for less time',
        'do_not_have_it' => 'do not have it',
        'have_by_pass_for' => 'have it by a pass, for as long as that is active',
        'lose_it' => 'lose it',
        'take_label' => 'Take the label {label}',
        'give_label' => 'Give the label {label}',
        'give_label_to' => 'Give the label {label} to {when}',
    ],
    'take_back_grant' => [
        'take_title_back' => 'Take {title} back',
        'take_back_what_was' => 'Take back what was handed out',
        'do_not_have_any' => 'do not have it any more',
    ],
    'tie_observer' => [
        'let_name_observe' => 'Let {name} observe',
        'let_name_observe_no' => 'Let {name} observe no longer',
        'nobody_observes_themselves' => 'Nobody observes themselves.',
        'observed_by_them_already' => 'are observed by them already',
        'observed_by_them_from' => 'are observed by them from now on',
        'not_observed_by_them' => 'are not observed by them',
        'not_observed_by_them_any' => 'are not observed by them any more',
    ],
    'withdraw_pass' => [
        'give_withdrawn_pass_back' => 'Give a withdrawn pass back',
        'have_it_again' => 'have it again',
        'were_not_withdrawn_from' => 'were not withdrawn from it',
        'were_withdrawn_from_already' => 'were withdrawn from it already',
        'withdraw' => 'Withdraw a pass',
    ],
    'write_to' => [
        'write_subject' => 'Write “{subject}”',
        'get_it_by_mail' => 'get it by mail',
        'want_none' => 'want no letters, and get none',
    ],
    'staged_acts' => [
        'whoever_asked_for_not' => 'Whoever asked for this is not there any more.',
        'that_was_prepared_more' => 'That was prepared more than a quarter of an hour ago. Please prepare it anew.',
        'people_that_about_being' => 'The people that this is about are being changed by somebody else just now. Nothing was done; please try again in a moment.',
        'course_has_been_published' => 'The course has been published since this was prepared. Please prepare it anew.',
    ],
];
