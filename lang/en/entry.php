<?php

declare(strict_types=1);

/*
 * What is typed into cells of the Rules lens, and what can be chosen there. Patterns are ICU messages. The words of rules are those
 * in which the cells tell them (wording.php, drafts.php): what is read in a cell can be typed into another.
 */
return [
    'words' => [
        'at_once' => 'at once',
        'with_its_kind' => 'with its {kind}',
        'never' => 'never',
        'days' => '{days, plural, one {# day} other {# days}}',
        'after_opening' => '{days} after opening',
        'next_day' => ', next {day}',
        'any_of' => 'any {count} of {list}',
        'inside_in_order' => 'inside, in order',
        'the_one_before' => 'the one before',
        'nothing' => 'nothing',
        'every_pass' => 'every pass',
        'no_pass' => 'no pass',
        'label' => 'label {label}',
        'not_label' => 'not label {label}',
        'title_shows' => 'title shows',
        'mark' => 'by its learner’s mark',
        'visit' => 'by the first visit',
        'watch' => 'by watching {percent} % of its video',
        'quiz' => 'by a quiz, from {percent} %',
    ],
    'condition' => [
        'not' => 'not {what}',
        'tier' => 'tier {tier}',
        'offer' => 'by offer {offer}',
        'done' => 'who finished {title}',
        'kind' => '{kind}s only',
        'staff' => 'staff only',
        'from' => 'from {when}',
        'until' => 'until {when}',
    ],
    'cell' => [
        'label' => '{column} of {title}',
        'now' => 'now',
        'all_settings' => 'All its settings…',
        'tiers' => 'Choose tiers…',
        'condition' => 'Build a condition…',
        'nothing_such' => '“{typed}” is nothing that can stand here.',
        'what_here' => 'For example: {examples}.',
        'leave' => 'Leave it as it was',
        'reads' => '{count, plural, one {# possibility} other {# possibilities}}; {words}',
    ],
    'examples' => [
        'opens' => '14 · 2 weeks after joining, 9:00 · 9 Mar 9:00 · next Monday 9 · in 3 weeks · at once',
        'closes' => '30 · 9 Mar 18:00 · in 3 weeks · never',
        'after' => 'a title · several, with commas · the one before · nothing',
        'forWhom' => 'a tier · label oar-bonus · label a and not label b · who finished a title · by offer … · learners only · from 9 Mar · every pass',
        'finish' => 'mark · visit · watch 90 · quiz 70',
    ],
    'clip' => [
        'cannot' => 'Nothing was pasted: “{words}” is nothing that {column} of {title} can be.',
        'too_wide' => 'Nothing was pasted: what was copied is wider than the columns to the right of here.',
        'too_long' => 'Nothing was pasted: what was copied has {copied} rows, and from here on there {rows, plural, one {is #} other {are #}}.',
    ],
];
