<?php

declare(strict_types=1);

/** How dates and times are written: patterns of ICU (Unicode TR 35). */
return [
    'instant' => 'EEE d MMM, HH:mm',
    'instant_with_year' => 'EEE d MMM y, HH:mm',
    'date' => 'EEE d MMM',
    'date_with_year' => 'EEE d MMM y',
    'cell' => 'd MMM',
    'weekday' => 'EEEE',
    'cell_with_year' => 'MMM y',
    'in_zone' => '{when} {zone}',
    'zone' => '{city} time',
];
