<?php

declare(strict_types=1);

/*
 * What happened, as the log tells it. Patterns are ICU messages.
 */
return [
    'activity_words' => [
        'for_good' => 'for good',
        'offer_ended' => '{offer} ended',
        'offer_taken_back' => '{offer} taken back, which came {by}',
        'goes_on' => '{offer} goes on{to}, as a file had ended it and was taken back',
        'file_taken_back' => 'What {file} brought was taken back',
        'offer_given_back' => '{offer} given back',
        'title_taken_back' => '{title} taken back',
        'finished_title' => 'Finished {title}',
        'what_was_finished_by' => 'What was finished by {offer} is kept: another pass covers it',
        'was_not_told' => 'Was not told that {offer} ends {when}: such letters are not written, or not wanted',
        'was_told_that_offer' => 'Was told that {offer} ends {when}',
        'showed_that_address_theirs' => 'Showed that the address is theirs',
        'was_sent_link_sign' => 'Was sent a link to sign in',
        'given' => '{comes, select, yes {Came in; } other {}}{offer} given from {when}{lasts}{by}{instead}',
        'instead' => ', in place of {offers}',
        'to' => ', to {when}',
        'lasts_for_good' => ', for good',
        'paused_still' => '{offer} paused, its days standing still',
        'paused_going_on' => '{offer} paused, its days going on',
        'taken_up' => '{offer} taken up again{to}',
        'withdrawn' => '{offer} withdrawn',
        'withdrawn_again' => '{offer} withdrawn; {offers} in force again',
        'try_given' => 'one more try at {title}',
        'begun' => '{offer} let begin at once',
        'finished_for' => '{title} marked as finished by the school{noted, select, yes {: {note}} other {}}',
        'handed_out' => '{item} handed out{to}',
        'joined_list' => 'came on the mailing list as {label}',
        'got_label' => 'Got the label {label}{to}',
        'erased' => 'What was finished by {offer} was erased: {count, plural, one {# row} other {# rows}}',
        'keeps_label' => 'Keeps the label {label}, which {offer} had given, though that pass is over',
        'lost_label' => 'Lost the label {label}',
        'observed_by' => 'Observed by {name}',
        'no_longer_observed_by' => 'No longer observed by {name}',
        'was_written' => 'Was written: {subject}',
        'taken_back' => 'Taken back: {act}',
        'letters_stopped' => 'Wants no letters of this kind: {kinds}',
        'letters_wanted' => 'Wants letters of this kind: {kinds}',
        'corrected' => 'Who they are was corrected (was {name}, {email})',
        'person_erased' => 'Erased: what is left is a number',
        'came_in' => 'Came in, {by}',
        'extended' => '{offer} extended to {when} (was {was})',
        'changed' => '{was} changed to {offer}',
    ],
];
