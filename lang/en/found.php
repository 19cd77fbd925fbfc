<?php

declare(strict_types=1);

// The page of what checks have found; what they say stands in checks.php.
return [
    'title' => 'Checks',
    'of' => 'Checks of {title}',
    'nothing' => 'Nothing is found.',
    'nothing_of' => '{draft, select, yes {The draft} other {What is live}} was asked as newcomers with each offer, guests, observers and strangers will ask it.',
    'of_draft' => 'Of the draft, as it would be for those who come now.',
    'of_live' => 'Of what is live, for those who come now.',
    'counting' => 'Counting whom it touches: {looked, number} of {of, number} people.',
    'touched' => '{count, plural, =0 {It touches nobody who is here now.} one {It touches # person.} other {It touches # people.}}',
    'mend' => 'In the draft: {what}',
    'accept' => 'It is meant so',
    'accept_title' => 'Meant so, because',
    'accept_hint' => 'It comes back when the rules behind it change.',
    'accepted' => 'Meant so',
    'look_again' => 'Look at it again',
    'show' => 'Show',
    'others' => 'Besides the rules',
    'count' => '{count, plural, one {# finding} other {# findings}}',
    'level' => ['fault' => 'Wrong', 'doubt' => 'Look again', 'idle' => 'No effect'],
];
