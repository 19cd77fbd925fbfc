<?php

declare(strict_types=1);

namespace App\People\Import;

/** How the columns of lists of people are called. */
final class ColumnNames
{
    /** What columns are often called: in English, Norwegian, Danish and Swedish, German, French and Spanish. */
    public const USUAL = [
        'name' => ['name', 'full name', 'person', 'learner', 'student', 'navn', 'fullt navn', 'namn', 'vollständiger name', 'teilnehmer', 'nom', 'nom complet', 'nombre', 'nombre completo'],
        'email' => ['email', 'e-mail', 'mail', 'e-mail address', 'email address', 'e-post', 'epost', 'e-postadresse', 'e-postadress', 'mailadresse', 'e-mail-adresse', 'e-mail adresse', 'e-mailadresse', 'courriel', 'adresse e-mail', 'correo', 'correo electrónico', 'correo electronico'],
        'labels' => ['labels', 'label', 'tags', 'tag', 'merkelapper', 'etiketter', 'etiketten', 'étiquettes', 'etiquetas'],
        'offer' => ['offer', 'pass', 'product', 'course', 'tilbud', 'kurs', 'produkt', 'erbjudande', 'angebot', 'offre', 'cours', 'produit', 'oferta', 'curso', 'producto'],
        'start' => ['start', 'from', 'begins', 'start date', 'joined', 'fra', 'startdato', 'från', 'startdatum', 'beginn', 'ab', 'début', 'date de début', 'inicio', 'fecha de inicio'],
        'observes' => ['observes', 'looks in on', 'observer of', 'parent of', 'forelder til', 'förälder till', 'elternteil von', 'parent de', 'padre de'],
    ];
}
