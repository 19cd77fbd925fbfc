<?php

declare(strict_types=1);

/*
 * What the stand-ins for mail and for a shop have sent, sold and told. Patterns are ICU messages; what stands for a link in them is put
 * there by the page.
 */
return [
    'title' => 'Outbox',
    'stand_ins' => 'Stand-ins',
    'letters' => 'Letters',
    'shop' => 'Shop',
    'mail' => [
        'none' => 'No letter has gone out yet.',
        'none_told' => 'What the school writes to people is laid out here instead of being mailed: sign-in links, warnings before a trial ends, and what is written by hand.',
        'told' => '{count, plural, one {# letter} other {# letters}}, the latest first. They stand here instead of being mailed.',
        'to' => 'to {to} · {when}',
        'person' => 'Their page',
        'state' => '{state, select, waiting {waits to be sent} failed {did not go} stopped {not sent: they want none} other {sent}}',
        'problem' => 'The mail server says: {problem}',
        'again' => 'Try it again',
    ],
    'sold' => [
        'find' => 'Find',
        'find_label' => 'Whose purchases: name or e-mail',
        'find_hint' => 'Name or e-mail',
        'everybody' => 'Everybody’s',
        'nobody' => 'Nobody whose name or address has “{find}” in it has bought anything.',
        'none' => 'Nothing has been bought yet.',
        'none_told' => 'What people buy or claim at a checkout stands here, and the stand-in shop can play what comes afterwards: the next payment of a membership, one that does not come, a refund.',
        'told' => '{count, plural, one {# purchase} other {# purchases}}, the latest first. No money moves: what a shop would tell is played here.',
        'caption' => 'What was bought or claimed',
        'what' => 'What',
        'who' => 'Who',
        'when' => 'When',
        'price' => 'Price',
        'standing' => 'Standing',
        'acts' => 'What the shop can tell',
        'payment' => 'Payment {number} comes',
        'missed' => 'It does not',
        'refund' => 'Refund{what}',
        'refund_of' => ' {what} of {person}',
    ],
    'events' => [
        'title' => 'What the shop has told',
        'some' => 'The latest {shown, number} of {count, number} events.',
        'all' => '{count, plural, one {# event} other {# events}}, the latest first.',
    ],
];
