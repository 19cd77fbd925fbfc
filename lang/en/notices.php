<?php

declare(strict_types=1);

/*
 * Where the words of closed doors are written. Patterns are ICU messages; what stands for a link in them is put there by the page.
 */
return [
    'title' => 'Notices',
    'title_of' => 'Notices of {course}',
    'school_told' => 'What people meet at a closed door, in every course that has no words of its own',
    'course_told' => '{course} · what people meet at a closed door of this course · {school}',
    'school' => 'the school’s words',
    'kinds' => 'Kinds of closed doors',
    'from' => [
        'usual' => 'usual words',
        'school' => 'the school’s words',
        'course' => 'words of this course',
        'module' => 'words of its module',
        'own' => 'words of its own',
        'for_offer' => '{from}, for its holders',
        'sign_in' => 'sent to sign in ({from})',
        'address' => 'sent to {address} ({from})',
    ],
    'place' => [
        'at' => 'At',
        'whole' => 'the whole course',
        'none' => 'No such row',
        'for' => 'For',
        'everybody' => 'everybody',
        'holders' => 'who holds or held {offer}',
    ],
    'form' => [
        'own_place' => 'There are words for just this here. The page answers with {status}.',
        'hold_wider' => 'Words from further up hold here; what you save takes their place at just this. The page answers with {status}.',
        'own_course' => 'This course has words of its own here. The page answers with {status}.',
        'own_school' => 'The school has words of its own here. The page answers with {status}.',
        'hold_school' => 'The school’s words hold here; what you save takes their place. The page answers with {status}.',
        'hold_usual' => 'The usual words hold here; what you save takes their place. The page answers with {status}.',
        'way' => 'Whoever meets it',
        'show' => 'reads a notice, in the frame of the course',
        'sign_in' => 'is sent to sign in, and comes back to exactly this page',
        'address' => 'is sent to an address',
        'address_field' => 'Address',
        'address_told' => 'A page of this site that begins with /, or one that begins with https://',
        'heading' => 'Heading',
        'text' => 'Text',
        'text_told' => 'Markdown. Offers, sign-in and whom to ask stand under it by themselves, where they lead somewhere.',
        'placeholders' => 'Names and dates that can stand in it',
        'save' => 'Save',
    ],
    'back' => [
        'to_wider' => 'Back to the words from further up',
        'told_wider' => 'What is written here is let go, and whoever meets this door reads what holds further up from now on.',
        'to_school' => 'Back to the school’s words',
        'to_usual' => 'Back to the usual words',
        'ask' => '{back}?',
        'told_school' => 'What is written here is let go, and whoever meets this door reads the school’s words from now on.',
        'told_usual' => 'What is written here is let go, and whoever meets this door reads the usual words from now on.',
        'leave' => 'Leave it',
    ],
    'preview' => [
        'title' => 'Preview',
        'example' => 'As it might be met, with an example’s names and dates',
        'nothing' => 'Nothing is shown',
        'unknown' => 'Nothing stands for {names}.',
        'sign_in' => 'They find themselves at the sign-in page, and afterwards where they wanted to go.',
        'address' => 'They find themselves at {address}.',
        'no_address' => 'They are sent to the address, once there is one.',
    ],
];
