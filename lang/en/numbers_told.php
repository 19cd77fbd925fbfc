<?php

declare(strict_types=1);

// What the charts of a course are written on by the server.
return [
    'through' => 'All done',
    'now' => 'now',
];
