<?php

declare(strict_types=1);

/*
 * What is done by itself when something comes about. Patterns are ICU messages.
 */
return [
    'sentence' => 'When {when}{only}, {then}.',
    'if' => ', if they {only}',
    'and' => '{parts} and {last}',
    'any_offer' => 'any offer',
    'days' => '{days, plural, one {# day} other {# days}}',
    'by_form' => 'by the form {form}',
    'not_confirmed' => 'They have not shown yet that the address is theirs: no letter is written there before.',
    'when' => [
        'form-sent' => 'the form {form} is sent',
        'account-made' => 'an account is made',
        'offer-taken' => '{offer} is taken',
        'payment-missed' => 'a payment of {offer} does not come',
        'refunded' => '{offer} is refunded',
        'pass-begins' => 'a pass of {offer} begins',
        'pass-ends-in' => 'a pass of {offer} ends in {days}',
        'pass-ends' => 'a pass of {offer} ends',
        'finished' => '{item} is finished',
        'course-finished' => 'all of {course} is finished',
        'quiz-scored' => 'the quiz of {item} comes to {band, select, from {{from} % or more} below {less than {to} %} other {{from} % to {to} %}}',
        'label-given' => 'the label {label} is given',
        'label-taken' => 'the label {label} is taken',
        'only-samples' => 'somebody has only looked at samples for {days}',
    ],
    'only' => [
        'label' => 'have the label {label}',
        'not_label' => 'do not have the label {label}',
        'holds' => 'hold a pass of {offer}',
        'not_holds' => 'hold no pass of {offer}',
    ],
    'step' => [
        'give-pass' => 'give {offer}',
        'hand-out' => 'hand out {item} {lasts, select, good {for good} other {for {days}}}',
        'give-label' => 'give the label {label}{lasts, select, good {} other { for {days}}}',
        'take-label' => 'take the label {label}',
        'extend-pass' => 'extend {offer} by {days}',
        'end-pass' => 'end {offer}',
        'write' => 'write {subject}',
    ],
    'by' => 'by {name}',
    'nothing_to_do' => '{act}: nothing to do',
    'not_done' => 'That is not done, or is taken back already.',
    'again_and_again' => 'Stopped: it was set off for them more than {times} times within an hour. Do two triggers set each other off?',
    'gone' => [
        'offer' => 'The offer {key} is not there any more.',
        'item' => 'The row {key} is not published any more.',
    ],
    'against' => [
        'label' => 'They do not have the label {label}.',
        'not_label' => 'They have the label {label}.',
        'holds' => 'They hold no pass of {offer} that is in force.',
        'not_holds' => 'They hold a pass of {offer}.',
    ],
    'cause' => [
        'form-sent' => 'sent the form {form}',
        'account-made' => 'came in',
        'offer-taken' => 'took {offer}',
        'payment-missed' => 'a payment of {offer} did not come',
        'refunded' => '{offer} was refunded',
        'pass-begins' => 'a pass of {offer} began',
        'pass-ends-in' => 'a pass of {offer} ends in {days, plural, one {# day} other {# days}}',
        'pass-ends' => 'a pass of {offer} ended',
        'finished' => 'finished {item}',
        'quiz-scored' => 'scored {percent} % in {item}',
        'label-given' => 'got the label {label}',
        'label-taken' => 'lost the label {label}',
        'only-samples' => 'only looked at samples for {days, plural, one {# day} other {# days}}',
    ],
];
