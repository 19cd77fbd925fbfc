<?php

declare(strict_types=1);

/*
 * What is told once an act is done. Patterns are ICU messages.
 */
return [
    'acts_controller' => [
        'nothing_was_be_done' => 'Nothing was to be done: {what} changes nothing for them.',
        'taken_back_told' => 'Taken back: {told}.',
        'done_for' => '{act}: done for {count, plural, one {# person} other {# people}}.',
    ],
    'bundles_controller' => [
        'name_is_gone' => '{name} is gone.',
        'somebody_has_bought_name' => 'Somebody has bought {name}. Set it to “Not sold” instead.',
    ],
    'content_media_controller' => [
        'described' => 'Saved.',
        'title_there_as_file' => '{title} is there, as a file to download.',
        'title_is_there' => '{title} is there.',
        'it_is_taken_out' => 'It is taken out.',
    ],
    'contents_controller' => [
        'drafted' => 'Kept. It goes live when the draft of the course is published.',
        'left' => 'Thrown away. What is live has not changed.',
        'brought_back' => 'Brought back: whoever it is open to reads it so. What was there is kept among the earlier ones.',
        'saved_whoever_open_reads' => 'Saved. Whoever it is open to reads it so from now on.',
        'that_more_than_20' => 'That is more than 20,000 characters.',
        'saved_stands_on_public' => 'Saved. It stands on the public page of the course.',
    ],
    'draft_controller' => [
        'something_speaks_what_you' => 'Something speaks of what you take out',
        'that_does_not_go' => 'That does not go: {message}.',
        'who_has_edited_draft' => '{who} has edited this draft too; both edits stand',
        'draft_gone_what_live' => 'The draft is gone. What is live has not changed. For a day what it came to is kept, under History.',
        'brought_back' => 'What was given up is the draft again; undo takes that back.',
        'this_message' => 'This {message}.',
    ],
    'guest_link_controller' => [
        'there_new_guest_link' => 'There is a new guest link. Whoever came by an old one is no guest any more.',
    ],
    'letters_controller' => [
        'saved' => 'Saved. It is written so from now on.',
        'this_letter' => 'this letter',
        'sent' => 'One is on its way to {email}.',
        'chosen' => 'Noted for {name}.',
        'again' => 'It is tried again.',
    ],
    'shared_notices_controller' => [
        'begun' => 'It is begun, as a draft.',
        'drafted' => 'Kept as a draft. No door says it so yet.',
        'published' => 'Published. Whoever meets one of its doors from now on reads it so.',
        'thrown_away' => 'The draft is thrown away.',
        'let_go' => '{name} is gone.',
        'stands' => 'It stands at a door, or does again. Nothing was changed.',
    ],
    'related_controller' => [
        'saved' => 'Saved. Whoever does not have that course and may take it reads it from now on.',
        'taken_away' => 'It is taken away.',
        'this_offer' => 'this offer',
    ],
    'triggers_controller' => [
        'made' => 'It is made, and off. Try it, then switch it on.',
        'changed' => 'Saved. What comes about from now on is done so.',
        'on' => 'It is on. What comes about from now on sets it off; nothing from before does.',
        'off' => 'It is off.',
        'let_go' => '{name} is gone. What it has done stays done.',
        'again' => 'It is tried again.',
        'taken_back' => 'Taken back, all of it but letters.',
        'this_trigger' => 'this trigger',
    ],
    'tokens_controller' => [
        'made' => 'The token {name} is made.',
        'taken_back' => 'The token {name} opens nothing any more.',
    ],
    'outside_controller' => [
        'made' => '{name} is known now. Keep its secret: it is shown this once.',
        'changed' => 'Saved.',
        'secret' => 'The secret is a new one, and the one before holds no longer. It is shown this once.',
        'again' => 'It is told again.',
        'this_system' => 'this system',
        'waits' => 'this event',
    ],
    'forms_controller' => [
        'made' => 'It is made, and can be filled in at its address.',
        'changed' => 'Saved.',
        'this_form' => 'this form',
    ],
    'notices_controller' => [
        'no_notice_here' => 'There is no notice here: the row is open to this viewer or hidden from them, or one of the two is not there any more.',
        'saved_whoever_meets_door' => 'Saved. Whoever meets this door from now on reads it so.',
        'this_notice' => 'this notice',
    ],
    'offers_controller' => [
        'in_draft_course_rehearse' => 'It is in the draft of the course. Rehearse and publish it there.',
        'taken_out_in_draft' => 'It is taken out, in the draft of the course.',
        'this_message' => 'This {message}.',
        'does_not_go_message' => 'This does not go: it {message}.',
    ],
    'people_controller' => [
        'name_in_and_was' => '{name} is in, and was sent a link to sign in.',
    ],
    'people_files_controller' => [
        'too_many' => 'They are more than {most, number}: a file of so many is made in the background. Have it made below.',
    ],
    'plan_files_controller' => [
        'from_cartridge' => 'The outline is read. What its lessons hold is taken in now, which may take a while.',
        'count_courses_in_not' => '{count} courses are in, not live yet.',
    ],
    'publication_controller' => [
        'draft_goes_live_when' => 'The draft goes live {when}, as it is now.',
    ],
    'rehearsal_controller' => [
        'there_nothing_rehearse_any' => 'There is nothing to rehearse any more.',
    ],
    'revisions_controller' => [
        'published_as_revision_number' => 'Published as revision {number}. It is live now.',
        'revision_integer_live_again' => 'Revision {integer} is live again, as revision {number}.',
    ],
    'sightlines_controller' => [
        'row_or_viewer_not' => 'The row or the viewer is not there any more.',
    ],
    'retire_controller' => [
        'does_not_go' => 'That does not go: {why}',
        'kept' => 'Kept. Whoever comes to the course from now on meets it so.',
    ],
    'run_again_controller' => [
        'in_the_draft' => 'All dates are moved, in the draft of the course. Look at them here, then rehearse and publish.',
        'can_ask' => 'Whoever comes to this course when it is over can ask to be told.',
        'cannot_ask' => 'Nobody can ask to be told any more. Those who asked before still wait.',
        'does_not_run' => 'It does not run: publish it as live, in a season that is not over, and write then.',
        'written_to' => '{count, plural, =0 {Nobody waits to be told.} one {# person is being written to.} other {# people are being written to.}}',
    ],
];
