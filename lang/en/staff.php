<?php

declare(strict_types=1);

/*
 * Who works for the school. Patterns are ICU messages.
 */
return [
    'title' => 'Staff',
    'told' => 'Who works here, and what each of them may.',
    'name' => 'Name',
    'role' => 'Works as',
    'seen' => 'Last here',
    'never' => 'never',
    'you' => '{name} (you)',
    'change' => 'Change…',
    'change_of' => 'Change the role of {name}',
    'add' => 'Take somebody on',
    'email' => 'E-mail address',
    'email_told' => 'Of somebody who is here already, or of somebody new, who is sent a link to sign in.',
    'new_name' => 'Name, if they are new',
    'courses' => 'Courses that they edit',
    'keep' => 'Keep',
    'add_keep' => 'Take on',
    'remove' => 'Works here no more…',
    'remove_named' => 'Works here no more… ({name})',
    'remove_of' => 'Relieve {name}',
    'remove_told' => '{name} sees nothing of this side any more, from the next page on. What they have as a learner stays. What they have set to go live by itself is not published, and access tokens that they made let nobody in.',
    'remove_keep' => 'Relieve them',
    'roles' => [
        'administrator' => 'Administrator',
        'editor' => 'Editor of some courses',
        'assistant' => 'Assistant',
        'looker_on' => 'Looker-on',
    ],
    'may' => [
        'administrator' => 'All: rules, people, offers, the school.',
        'editor' => 'Edits, rehearses and publishes these courses, with what they hold and say at closed doors. Looks through the eyes of anybody there. Sees nothing of other courses, of lists of people, of sales or of the school.',
        'assistant' => 'Sees all but what it takes to run the school; answers, hands items out, extends passes. Changes no rules.',
        'looker_on' => 'Sees what assistants see, and changes nothing of it.',
    ],
];
