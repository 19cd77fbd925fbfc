<?php

declare(strict_types=1);

/*
 * Drafts, and edits that do not go. Patterns are ICU messages.
 */
return [
    'draft_collision' => [
        'you_have_changed_elsewhere' => 'You have changed this elsewhere since you opened this page. What you set first is saved and shown now.',
        'changed' => '{who} has changed this since you opened it. Theirs is saved and shown now; yours is not.',
        'somebody_else' => 'Somebody else',
    ],
    'draft_conflict' => [
        'somebody_else_has_changed' => 'Somebody else has changed this draft since you opened it. Their version is shown now; yours was not saved. Look at it, then set yours again.',
        'somebody_else_has_published' => 'Somebody else has published this course since you opened it. The present state is shown now.',
        'there_nothing_publish_draft' => 'There is nothing to publish: the draft says what is live already.',
        'there_no_draft_any' => 'There is no draft any more: it was published or thrown away. What is live is shown now.',
        'that_time_over_already' => 'That time is over already. Choose a later one, or publish at once.',
        'draft_was_changed_after' => 'The draft was changed after the time was set. Rehearse it as it is now, then publish it or set a time again.',
        'there_nothing_left_undo' => 'There is nothing left to undo.',
        'there_nothing_left_redo' => 'There is nothing left to redo.',
        'many_people_hold_something' => 'Many people hold something of this course. Look at the rehearsal first; then it can be published.',
        'one_person_has_something' => 'One person has something now that this takes away or puts off. Look at the rehearsal first; then it can be published.',
        'losers_people_have_something' => '{losers} people have something now that this takes away or puts off. Look at the rehearsal first; then it can be published.',
        'what_you_were_shown' => 'What you were shown is not what would happen now: it is more than a quarter of an hour ago, was for another time, or something was changed since. It is shown anew; look at it, then publish.',
        'may_not_publish' => '{who} may not publish any more. Somebody who may has to set the time again.',
        'not_kept' => 'What was given up is not kept any more: it was brought back already, or is more than a day old.',
        'published_since_given_up' => 'Something else has been published since that was given up; it would take that back, so it cannot be brought back. What it was to change is told in the history.',
        'address_taken' => 'Another course is found at /courses/{address}. Choose another one.',
        'whoever_set_time' => 'Whoever set the time',
    ],
    'cannot_edit' => [
        'no_dates' => 'This course names no date: there is nothing to move.',
        'course_has_no_item' => 'This course has no item {key} any more. Somebody may have taken it out; reload to see the present outline.',
        'course_has_no_release' => 'This course has no release plan {name} any more.',
        'only_lessons_and_parts' => 'Only lessons and parts are finished by themselves; {item} is neither.',
        'course_has_release_plan' => 'This course has a release plan {name} already.',
        'course_has_no_offer' => 'This course has no offer {key} any more.',
        'bundle_bundle_sold_with' => 'The bundle {bundle} is sold with it. Take it out of that first.',
        'from_waits_for_asked' => '{from} waits for {asked}; {item} cannot, so these rules do not fit it. Nothing was pasted.',
        'item_only_for_those' => '{item} is only for those who finished {asked}. Say who it is for first; then {asked2} can be taken out.',
        'offer_held' => '{holders, plural, one {Somebody holds} other {# people hold}} a pass of it, or have held one. Say that it is not sold any more instead.',
    ],
    'delete_items' => [
        'title_waits_for_title2' => '{title} waits for {title2}',
        'offer_title_covers_title2' => 'The offer {title} covers {title2}',
    ],
    'move_item' => [
        'there_nothing_before_that' => 'There is nothing before it that it could move into.',
        'stands_at_top_already' => 'It stands at the top already.',
        'it_stands_first_already' => 'It stands first already.',
        'it_stands_last_already' => 'It stands last already.',
    ],
    'place_items' => [
        'title_cannot_move_into' => '{title} cannot move into itself.',
    ],
    'ineffective_values' => [
        'no_offer_uses_release' => 'No offer uses this release plan, and it is not the main plan of the course.',
        'there_not_two_things' => 'There are not two things inside that could come one after the other.',
        'kind_holds_nobody_up' => 'A {kind} holds nobody up.',
        'its_condition_lets_nobody' => 'Its condition lets nobody see it without a pass.',
        'for_strangers_alone_but' => 'It is for strangers alone, but samples of this course ask for an account.',
        'course_open_anyone_there' => 'The course is open to anyone: there is nothing to give a taste of.',
        'school_lets_no_guests' => 'The school lets no guests in.',
        'guest_door_course_shut' => 'The guest door of the course is shut.',
        'observer_door_course_shut' => 'The observer door of the course is shut.',
    ],
    'found_by' => [
        'opens' => 'opens {words}',
        'closes' => 'closes {words}',
        'after' => 'after {words}',
        'for' => 'for {words}',
        'finished' => 'finished {words}',
        'sample' => 'sample',
        'optional' => 'optional',
        'guests' => 'guests',
        'observers' => 'observers',
        'hidden' => 'hidden',
    ],
    'rule_table' => [
        'at_once' => 'at once',
        'with_its_kind' => 'with its {kind}',
        'inside_in_order' => 'inside, in order',
        'in_its_turn' => 'in its turn',
        'every_pass' => 'every pass',
        'title_shows' => 'title shows',
        'no_pass' => 'no pass',
    ],
];
