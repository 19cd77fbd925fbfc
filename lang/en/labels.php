<?php

declare(strict_types=1);

/*
 * Labels of the school: where each is used, another name for one, two that become one. Patterns are ICU messages.
 */
return [
    'title' => 'Labels',
    'told' => 'A label is a word that people have; whatever names it has it. Here is who has each, what gives it and what asks for it.',
    'none' => 'There is no label yet.',
    'none_told' => 'Give one to people on their list, or name one in what an offer gives: it stands here from then on.',
    'to_people' => 'To the people',
    'label' => 'Label',
    'people' => 'Have it now',
    'given_by' => 'Given by',
    'asked_by' => 'Asked for by',
    'more' => 'and {count, number} {count, plural, one {other place} other {other places}}: show all',
    'nothing' => 'nothing',
    'change' => 'Rename…',
    'change_of' => 'Rename “{label}”',
    'name' => 'Its name',
    'name_told' => 'Everywhere at once: with people, in rules that are live and drafted, at offers and in triggers. Nobody gains or loses by it. Courses whose live rules name it get a revision that says so.',
    'rename' => 'Rename',
    'merge' => 'Make them one',
    'merge_told' => 'There is a label “{to}” already: the two become one. Whoever has “{from}” has “{to}”, and whatever asks for either asks for “{to}”. That cannot be taken apart again.',
    'merge_nobody' => 'No live rules ask for either of them: nobody gains or loses anything in a course.',
];
