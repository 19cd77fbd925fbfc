<?php

declare(strict_types=1);

/*
 * What is kept of people, and for how long. Patterns are ICU messages.
 */
return [
    'data' => [
        'title' => 'What is kept of {name}',
        'link' => 'Their data…',
        'told' => 'All that the school keeps of them. They may ask for it, for mistakes to be put right, and to be erased.',
        'what' => 'What',
        'rows' => 'How much',
        'then' => 'When they are erased',
        'nothing' => 'Nothing but their name and address.',
        'take_out' => 'Take it out (ZIP)',
        'correct' => 'Correct…',
        'erase' => 'Erase…',
    ],
    'correct' => [
        'title' => 'Correct who they are',
        'name' => 'Name',
        'email' => 'E-mail address',
        'email_told' => 'Letters and links to sign in go there from then on. Links that were sent before open nothing any more.',
        'keep' => 'Correct it',
    ],
    'erase' => [
        'title' => 'Erase {name}',
        'told' => 'It cannot be undone.',
        'goes' => 'What goes: name, address, letters, posts, what they answered in quizzes and forms, links that let them in. Nobody observes them any more, and they observe nobody.',
        'stays' => 'What stays, under a number: passes, what was finished, scores, looks. So courses are counted as before, and the ledger stays true.',
        'pays' => 'They pay for {offers} again and again: end that at the shop first, or it goes on asking them for money.',
        'looked' => 'Their name and address are looked for in everything that the program wrote, in files and in its log. Where other people have written them, you are told.',
        'backups' => 'Copies that were made before hold them still: let go of those when your days for them are over.',
        'type' => 'Type {address} to go on',
        'keep' => 'Erase for good',
    ],
    'erased' => [
        'banner' => 'They were erased. What is left is a number, so that courses are counted as before.',
        'rest' => 'What is left is a number, so that courses are counted as before.',
        'when' => 'Erased {when}, {by}.',
        'waiting' => 'Traces are being looked for. You need not wait: what was found stands here later, too.',
        'gone' => 'What went',
        'left' => 'Where they are still named',
        'left_told' => 'In words of other people, which nobody alters behind their backs. Have them changed where they should be.',
        'nowhere' => 'Nowhere: they were looked for in everything that is stored here.',
    ],
    'kept' => [
        'title' => 'Personal data',
        'told' => 'For how long what is kept of people. The schedule lets go of the rest, hour by hour. Passes, what was finished and the ledger stay for as long as the person does.',
        'days' => 'Days',
        'days_of' => 'Days: {what}',
        'good' => 'for good',
        'least' => 'At least {days}.',
        'keep' => 'Save',
        'sure' => [
            'title' => 'Keep less than before',
            'told' => 'What is older goes with the next run of the schedule, within the hour, and does not come back:',
            'line' => '{what}: {was} → {days}',
            'departed' => 'Now that would erase {count, plural, =0 {nobody} one {one person} other {# people}}.',
            'keep' => 'Let go of it',
        ],
        'of_days' => '{days, plural, one {# day} other {# days}}',
    ],
];
