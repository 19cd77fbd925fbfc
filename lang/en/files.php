<?php

declare(strict_types=1);

/*
 * Files of people, and what each row of them does. Patterns are ICU messages.
 */
return [
    'lay_rows' => [
        'offer_file_not_there' => 'An offer of the file is not there any more.',
        'what_name_opens_not' => 'What {name} opens is not published yet.',
    ],
    'read_people_file' => [
        'line' => 'Line',
        'why' => 'Why it is not brought in',
        'which_column' => 'Choose the column with the e-mail address.',
        'file_being_brought_in' => 'This file is being brought in, or has been already.',
    ],
    'roster_people' => [
        'enrollments_csv_begin_not' => 'enrollments.csv: “{begin}” is not a date',
        'not_zip_file' => 'This is not a ZIP file.',
        'bundle_has_no_name' => 'The bundle has no {name}.',
        'name_is_too_large' => '{name} is too large.',
        'name_cannot_be_read' => '{name} cannot be read.',
        'name_too_large_or' => '{name} is too large, or a line of it is.',
        'other_version' => 'This bundle says that it is OneRoster {version}; 1.1 is read.',
        'enrolment_gone' => 'enrollments.csv: the enrolment of {id} is to be deleted. Passes are not taken by a file: end theirs under People',
        'enrolment_over' => 'enrollments.csv: the enrolment of {id} ended {date}, and gives no pass',
        'user_gone' => 'users.csv: the user {id} is to be deleted. Nobody is taken out by a file: end their passes under People',
        'not_enabled' => 'users.csv: the user {id} is not enabled, and is not brought in',
        'no_address' => 'users.csv: the user {id} has no e-mail address that can be used',
    ],
    'staged_import' => [
        'file_not_ready_be' => 'This file is not ready to be brought in, or has been already.',
        'people_file_being_changed' => 'The people of this file are being changed by somebody else just now. Nothing was done; please try again in a moment.',
    ],
    'import_page_builder' => [
        'line_line_message' => 'Line {line}: {message}.',
        'once_more' => 'once more',
        'known_as_name_who' => 'known as {name}, who keeps that name',
        'labels' => 'labels {labels}',
        'looks_in_on' => 'looks in on {people}',
        'known' => 'known',
        'new' => 'new',
        'offer_from' => '{offer} from {when}',
    ],
    'outcomes' => [
        'new' => '{count, plural, one {# is new} other {# are new}}',
        'known' => '{count, plural, one {# is known already} other {# are known already}}',
        'twice' => '{count, plural, one {# stands there more than once} other {# stand there more than once}}',
        'passed' => '{count, plural, one {# row is passed over} other {# rows are passed over}}',
        'wrong' => '{count, plural, one {# row is wrong} other {# rows are wrong}}',
        'changed' => '{count, plural, one {# was known and got something} other {# were known and got something}}',
        'unchanged' => '{count, plural, one {# had it all already} other {# had it all already}}',
        'passes' => '{count, plural, one {# pass was given} other {# passes were given}}',
        'labels' => '{count, plural, one {# label was given} other {# labels were given}}',
        'ties' => '{count, plural, one {# observer was tied} other {# observers were tied}}',
    ],
    'plain_csv' => [
        'no_text' => 'This is no text that could be read. Save it as CSV (UTF-8), and choose that.',
        'workbook' => 'This is a workbook of a spreadsheet program. Save it as CSV (UTF-8) there, and choose that.',
    ],
    'csv_people' => [
        'two_dates' => '“{date}” could be two days: say above which comes first in this file',
        'no_address' => 'there is no e-mail address',
        'bad_address' => '“{address}” is not an e-mail address',
        'no_offer' => 'there is no offer “{offer}”',
        'bad_date' => '“{date}” is not a date such as 2026-03-09 or 2026-03-09 09:00',
        'long_label' => 'the label “{label}” is longer than 60 characters',
        'bad_learner' => '“{address}”, whom they are to look in on, is not an e-mail address',
    ],
    'cartridge' => [
        'no_zip' => 'This is no Common Cartridge: it is no ZIP file.',
        'no_manifest' => 'This is no Common Cartridge: its imsmanifest.xml is no manifest.',
        'no_outline' => 'There is no outline of a course in it.',
        'missing' => 'This is no Common Cartridge: there is no {name} in it.',
        'no_xml' => '{name} is no XML that can be read.',
        'declares' => '{name} declares types or entities of its own. That is not read.',
        'too_large' => '{name} is larger than 8 MiB.',
        'too_many' => 'It holds more than {most, number} files.',
        'too_long' => 'Its outline has more than {most, number} entries.',
        'too_deep' => 'Its outline is nested deeper than {most, number} times.',
        'climbs' => 'It names a file outside itself: {name}',
        'untitled' => 'Without a title',
        'more' => ', and {more, number} more',
        'left' => [
            'quiz' => '{count, plural, one {A quiz has to be made anew} other {# quizzes have to be made anew}}: {titles}{more}.',
            'tool' => '{count, plural, one {A tool of another system is not taken} other {# tools of other systems are not taken}}: {titles}{more}.',
            'file' => '{count, plural, one {A file is not in it} other {# files are not in it}}: {titles}{more}.',
            'text' => '{count, plural, one {What a discussion begins with is not taken} other {What # discussions begin with is not taken}}: {titles}{more}.',
            'other' => '{count, plural, one {One is of a kind that is not known here} other {# are of a kind that is not known here}}: {titles}{more}.',
        ],
    ],
];
