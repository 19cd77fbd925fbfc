<?php

declare(strict_types=1);

// What is told of a change of those who work for the school.
return [
    'last' => 'Nobody else runs the school: first make somebody else an administrator.',
    'meanwhile' => 'Somebody else has changed this meanwhile. Please look again.',
    'already' => '{name} works here already: change their role below.',
    'nameless' => 'Nobody here has that address yet: please say who it is.',
    'which_role' => 'As what? Please choose.',
    'which_courses' => 'Which courses? Please choose at least one.',
    'no_such_course' => 'There is no such course any more.',
    'added' => '{name} works here now.',
    'changed' => 'The role of {name} has been changed.',
    'removed' => '{name} works here no more.',
];
