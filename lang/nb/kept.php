<?php

declare(strict_types=1);

/** Hva som er lagret om noen, slik det sies til dem selv. Mønstrene er ICU-meldinger. */
return [
    'read_me' => "Alt skolen har lagret om {name}.\nperson.json inneholder alt. De andre filene er tabeller med det samme, til et regneark. Tidene er i UTC. Andre personer står som tall, unntatt i brev.",
    'sections' => [
        'people' => 'Navn, adresse og konto',
        'passes' => 'Tilganger',
        'purchases' => 'Kjøp',
        'grants' => 'Åpnet for hånd',
        'labels' => 'Merkelapper',
        'observer_ties' => 'Hvem som følger hvem',
        'erasures' => 'Slettet da en prøvetid tok slutt',
        'completions' => 'Fullført',
        'looks' => 'Sett på, første og siste gang',
        'visits' => 'Sett på, og meldinger ved stengte dører, dag for dag',
        'watches' => 'Sett av video',
        'quiz_tries' => 'Prøver: svar og poeng',
        'given_tries' => 'Flere forsøk',
        'posts' => 'Innlegg på tavler',
        'statements' => 'Meldinger fra andre systemer',
        'messages' => 'Brev',
        'letter_choices' => 'Hvilke brev de vil ha',
        'list_contacts' => 'E-postlisten',
        'form_answers' => 'Svar på skjemaer',
        'next_runs' => 'Venter på neste gang',
        'sign_in_links' => 'Lenker for å logge inn',
        'sessions' => 'Hvor de er logget inn',
        'outside_events' => 'Hendelser meldt til andre systemer',
        'incoming_events' => 'Hendelser fra andre systemer',
        'trigger_runs' => 'Det utløsere har gjort for dem',
        'activities' => 'Aktivitetsloggen',
        'segments' => 'Lagrede filtre',
        'vantage_sets' => 'Lagrede utsikter',
        'personal_access_tokens' => 'Tilgangsnøkler',
        'edited_courses' => 'Kurs de redigerer',
        'ledger' => 'Linjer i protokollen',
    ],
    'account' => [
        'title' => 'Det skolen har lagret om deg',
        'told' => 'Alt i én fil: tilgangene dine, det du har fullført, svarene, innleggene og brevene dine. Skriv til {contact} for å få noe rettet eller for å bli slettet.',
        'nobody' => 'skolen',
        'take_out' => 'Hent det ut (ZIP)',
    ],
];
