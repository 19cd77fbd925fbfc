<?php

declare(strict_types=1);

/*
 * What is told of a change before it is published. Patterns are ICU messages.
 */
return [
    'elsewhere' => 'The label {label} counts in {courses} too: what changes there is not in this rehearsal. Look there in Sightlines, with a pass of this course, before you publish.',
];
