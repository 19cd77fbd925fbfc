<?php

declare(strict_types=1);

/** Slik skrives datoer og klokkeslett: mønstre etter ICU (Unicode TR 35). */
return [
    'instant' => "EEE d. MMM 'kl.' HH:mm",
    'instant_with_year' => "EEE d. MMM y 'kl.' HH:mm",
    'date' => 'EEE d. MMM',
    'date_with_year' => 'EEE d. MMM y',
    'cell' => 'd. MMM',
    'weekday' => 'EEEE',
    'cell_with_year' => 'MMM y',
    'in_zone' => '{when} {zone}',
    'zone' => '{city}-tid',
];
