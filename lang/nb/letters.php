<?php

declare(strict_types=1);

/** Brev til dem som lærer. Mønstrene er ICU-meldinger. */
return [
    'secret' => '[en lenke som bare de fikk]',
    'dear' => "Kjære {name}\n\n{before}",
    'link' => "{before}\n\nLogg inn her; lenken virker én gang, i {days, plural, one {# dag} other {# dager}}:\n{address}\n",
    'sign_in' => [
        'subject' => 'Lenken din til å logge inn med',
        'before' => 'Du ba om en lenke til å logge inn med.',
    ],
    'observer' => [
        'several' => '{count} som lærer',
        'line' => "{name}\n  {address}",
        'line_courses' => "{name}: {courses}\n  {address}",
        'more' => '{more, plural, one {og én til: {courses}} other {og # til: {courses}}}',
    ],
    'missed' => [
        'subject' => 'Betalingen din for {offer} er ikke kommet',
        'body' => "Kjære {name}\n\nBetalingen for {offer} som skulle vært her, er ikke kommet. Tilgangen fortsetter til {at} ({zone}) og er over da, hvis det ikke betales. Det du har fullført, blir stående, og den som kommer tilbake, fortsetter der hun var.\n",
    ],
    'account' => [
        'subject' => 'Du har fått en konto',
        'before' => 'Du har fått en konto.',
    ],
    'got' => [
        'subject' => 'Noe nytt til deg',
        'body' => "Kjære {name}\n\nNoe er lagt til i kontoen din. Det er den samme kontoen som før: logg inn slik du pleier.\n",
    ],
    'address' => [
        'subject' => 'Er dette adressen din?',
        'before' => 'Noen, sannsynligvis du, har oppgitt denne adressen her ({why}). Var det deg, så bruk lenken: det du fikk der, er da ditt på alle enheter, i kontoen din om du har en. Var det ikke deg, trenger du ikke gjøre noe.',
        'to_buy' => 'ved å kjøpe {offer}',
        'to_look' => 'for å se på en smakebit',
        'by_form' => 'med skjemaet {form}',
    ],
    'foot' => 'Ikke flere brev som dette: {stop}',
    'now' => 'nå',
    'in_days' => '{days, plural, =0 {i dag} =1 {i morgen} other {om # dager}}',
    'for_good' => 'for godt',
    'until' => 'til {at} ({zone})',
    'zoned' => '{at} ({zone})',
    'open' => '{count, plural, =0 {} one {Én leksjon er åpen for deg nå.} other {# leksjoner er åpne for deg nå.}}',
    'still_open' => '{count, plural, =0 {} one {Én leksjon er fortsatt åpen for deg.} other {# leksjoner er fortsatt åpne for deg.}}',
    'next' => 'Som neste åpner {title}, {at} ({zone}).',
    'opened_line' => "  {title}\n  {address}",
    'trial' => [
        'ends' => 'er over {at} ({zone})',
        'ended' => 'var over {at} ({zone})',
    ],
    // Krøllparentesene er plassholdere som skolen fyller ut.
    'kinds' => [
        'welcome' => [
            'to_you' => ['title' => 'Velkommen', 'told' => 'Én gang, når du er ny her.'],
            'subject' => 'Velkommen til {school}',
            'body' => "Kjære {name}\n\nVelkommen til {school}. Kursene dine er her:\n\n{courses}\n{address}\n",
        ],
        'pass-given' => [
            'to_you' => ['title' => 'En tilgang begynner', 'told' => 'Når du har fått en tilgang, med det den åpner.'],
            'subject' => '{course} er ditt',
            'body' => "Kjære {name}\n\nDu har {offer} i {course}, fra {begins}, {until}.\n\n{open}\n{next}\n\n{address}\n",
        ],
        'opened-today' => [
            'to_you' => ['title' => 'Åpnet i dag', 'told' => 'Høyst én gang om dagen, når noe har åpnet for deg.'],
            'subject' => 'Åpent for deg siden i dag',
            'body' => "Kjære {name}\n\nDette har åpnet for deg, til og med {day}:\n\n{lines}\n",
        ],
        'ends-soon' => [
            'to_you' => ['title' => 'En tilgang er snart over', 'told' => 'Noen dager før den er over, hvis ingen annen fortsetter etter den.'],
            'subject' => '{course}: {offer} er over {when}',
            'body' => "Kjære {name}\n\n{offer} i {course} er over {ends}.\n\nHvordan du kan fortsette, står her:\n{address}\n",
        ],
        'ended' => [
            'to_you' => ['title' => 'En tilgang er over', 'told' => 'Når den er over og ingen annen til kurset fortsetter.'],
            'subject' => '{course}: {offer} er over',
            'body' => "Kjære {name}\n\n{offer} i {course} var over {ended}. Det du har fullført, er tatt vare på.\n\n{open}\nHvordan du kan fortsette, står her:\n{address}\n",
        ],
        'trial-ends' => [
            'to_you' => ['title' => 'En prøvetid er snart over', 'told' => 'Før en prøvetid er over som det du har fullført, slettes etter.'],
            'subject' => '{course}: {offer} {ends}',
            'body' => "Kjære {name}\n\n{offer} i {course} {ends}.\n\nDet du har fullført, tas vare på til {due} og slettes da, hvis du ikke har en annen tilgang til kurset innen den tid:\n{address}\n",
        ],
        'observer' => [
            'to_you' => ['title' => 'Noen lar deg se inn', 'told' => 'Når du kan se sammen med en som lærer.'],
            'subject' => 'Du kan se inn hos {learners}',
            'body' => "Kjære {name}\n\nFra nå av ser du det disse ser, og hvor langt de er kommet. Du ser; du fullfører ingenting for dem.\n\n{lines}\n\nLogg inn med denne adressen. Har du ikke noe passord, kan du få en lenke tilsendt der.\n",
        ],
        'next-run' => [
            'to_you' => ['title' => 'Et kurs går igjen', 'told' => 'Når du har bedt om å få vite det.'],
            'subject' => '{course} går igjen',
            'body' => "Kjære {name}\n\nDu ba om å få vite det: {course} går igjen ved {school}, {opens}.\n\n{address}\n\nDette var det ene brevet du ba om. Spør du igjen, får du vite det igjen.\n",
        ],
        'by-hand' => [
            'to_you' => ['title' => 'Brev skrevet for hånd', 'told' => 'Det noen ved skolen skriver til deg eller til mange.'],
        ],
    ],
];
