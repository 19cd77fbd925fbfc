<?php

declare(strict_types=1);

/*
 * Rules as administrators read them; pages get these words too. Patterns are ICU messages. Of openings there is what one is called
 * where it is chosen, and either the words for it or, where it counts days, what follows them and what is said of none.
 */
return [
    'opens' => [
        'at_once' => ['called' => 'At once', 'words' => 'at once'],
        'on' => ['called' => 'On a date', 'words' => '{at}'],
        'held' => ['called' => 'Only when handed out', 'words' => 'only when handed out'],
        'after_start' => ['called' => 'Days after joining', 'after' => 'after joining', 'same' => 'on joining'],
        'after_previous' => ['called' => 'Days after the one before', 'after' => 'after the one before', 'same' => 'with the one before'],
    ],
];
