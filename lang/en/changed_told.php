<?php

declare(strict_types=1);

/*
 * What the server tells of what changed for whom. Patterns are ICU messages.
 */
return [
    'wrong' => 'Please give two times, the first before the second.',
    'effects' => [
        'lose' => '{people, plural, one {# person} other {# people}} lost',
        'pause' => '{people, plural, one {# person} other {# people}} lost for a while',
        'lose_work' => '{people, plural, one {# person} other {# people}} may only look at',
        'shorter' => '{people, plural, one {# person has} other {# people have}} for a shorter time',
        'never' => '{people, plural, one {# person no longer comes} other {# people no longer come}} to',
        'later' => '{people, plural, one {# person comes} other {# people come}} later to',
        'gain' => '{people, plural, one {# person} other {# people}} gained',
        'gain_work' => '{people, plural, one {# person} other {# people}} may now work in',
        'longer' => '{people, plural, one {# person has} other {# people have}} for longer',
        'sooner' => '{people, plural, one {# person comes} other {# people come}} sooner to',
    ],
    'causes' => [
        'revision' => 'Revision {number} went live{noted, select, yes { (“{note}”)} other {}}, {when}',
        'unpublished' => 'Nothing was live any more',
        'school' => 'The school’s time zone was changed, or its doors to guests',
        'offers' => 'It was changed which labels offers give',
        'pass_given' => 'Passes were given or bought',
        'pass_gone' => 'Passes were taken back as if never given',
        'pass_withdrawn' => 'Passes were withdrawn',
        'pass_paused' => 'Passes were paused',
        'pass_resumed' => 'Passes were taken up again',
        'pass_changed' => 'Passes were changed for others',
        'pass_extended' => 'Passes were extended',
        'pass_shortened' => 'Passes were shortened or ended early',
        'pass_moved' => 'Passes begin on another day',
        'grant_given' => 'Something was handed out by hand',
        'grant_taken' => 'What was handed out was taken back',
        'label_given' => 'Labels were given',
        'label_taken' => 'Labels were taken away',
        'finished' => 'They finished something',
        'not_finished' => 'What they had finished was taken back, or erased',
        'role' => 'They came to work for the school, or left',
        'time' => 'Time went on: a day came, or was over',
    ],
    'why' => '{more, plural, =0 {} one {one more than foretold} other {# more than foretold}}{both, select, yes {, } other {}}{less, plural, =0 {} one {one fewer} other {# fewer}}: {effect}',
    'of' => [
        'lose' => 'lost it',
        'pause' => 'lost it for a while',
        'lose_work' => 'may look but no longer work',
        'shorter' => 'have it for a shorter time',
        'never' => 'no longer come to it',
        'later' => 'come to it later',
        'gain' => 'gained it',
        'gain_work' => 'may work, not only look',
        'longer' => 'have it for longer',
        'sooner' => 'come to it sooner',
    ],
    'kinds' => [
        'visitor' => 'Visitors',
        'guest' => 'Guests',
        'member' => 'Signed in, without a pass',
    ],
    'gone' => 'somebody who is gone',
];
