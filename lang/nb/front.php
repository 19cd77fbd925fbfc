<?php

declare(strict_types=1);

/** Det tjeneren sier til dem som ikke er kommet inn ennå: forsiden, og kurs sett utenfra. Mønstrene er ICU-meldinger. */
return [
    'takes' => [
        'minutes' => '{minutes, number} min',
        'hours' => '{hours, number} t',
        'hours_minutes' => '{hours, number} t {minutes, number} min',
        'about' => 'omtrent {hours, number} t',
        'lessons' => '{count, plural, one {# leksjon} other {# leksjoner}}',
        'films' => '{count, plural, one {# film} other {# filmer}}',
        'quizzes' => '{count, plural, one {# prøve} other {# prøver}}',
        'film' => 'film',
        'quiz' => 'prøve',
        'paced' => '{takes} · {pace}',
    ],
    'pace' => [
        'at_once' => 'alt med en gang',
        'daily' => 'en {unit, select, module {modul} other {leksjon}} om dagen',
        'weekly' => 'en {unit, select, module {modul} other {leksjon}} i uken',
        'fortnightly' => 'en {unit, select, module {modul} other {leksjon}} annenhver uke',
        'monthly' => 'en {unit, select, module {modul} other {leksjon}} i måneden',
        'over_days' => 'over {count, plural, one {# dag} other {# dager}}',
        'over_weeks' => 'over {count, plural, one {# uke} other {# uker}}',
        'opens' => 'åpner {date}',
    ],
    'part' => [
        'told' => 'Kurs {first, number} til {last, number} av {of, number}',
        'earlier' => 'De forrige',
        'later' => 'Flere kurs',
    ],
    'price' => [
        'from' => 'fra {price}',
        'free' => 'gratis',
        'invite' => 'etter invitasjon',
        'later' => 'å få fra {date}',
        'none' => 'ikke å få akkurat nå',
        'mine' => 'Du har dette: {finished, number} av {lessons, number}',
    ],
    'act' => [
        'look' => 'Ta en titt først',
        'start' => 'Begynn',
        'go_on' => 'Fortsett',
        'season' => 'Se sesongen',
        'ask' => 'Spør oss',
        'see' => 'Se kurset',
    ],
    'opens' => [
        'at_once' => 'med en gang',
        'day' => 'dag {day, number}',
        'week' => 'en {weekday}, uke {week, number}',
        'lasts' => '{count, plural, one {# dag} other {# dager}}',
        'of' => '{covered, number} av {lessons, number}',
        'covers' => '{covered, number} av {lessons, plural, one {# leksjon} other {# leksjoner}}',
    ],
    'rows' => [
        'look' => 'ta en titt',
        'in_order' => 'en etter en',
    ],
    'season' => [
        'both' => 'Går fra {from} til {until}',
        'from' => 'Begynner {from}',
        'until' => 'Slutter {until}',
    ],
];
