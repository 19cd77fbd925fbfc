<?php

declare(strict_types=1);

// What the courses of the demo show of themselves: a sentence, what one will be able to do, what is often asked, and the drawing on
// their covers; and how many minutes their lessons take.
return [
    'clinker' => [
        'subject' => 'Hull',
        'drawing' => 'planks',
        'sentence' => 'Hang three strakes on a small pram and learn what holds a clinker boat together: planks first, frames after.',
        'outcomes' => ['Tune a plane until it takes the shaving you want', 'Choose larch by its rings, and leave the rest at the sawmill', 'Steam and hang a garboard without a helper', 'Rivet a land that stays tight for thirty years'],
        'questions' => [
            ['ask' => 'What do I need at home?', 'answer' => 'A bench, two planes and a quiet corner of a shed. What else there is to bring is in *Welcome to the shed*, which you can look at now.'],
            ['ask' => 'Can I come to the shed as well?', 'answer' => 'Yes: every pass has two weeks a year in the shed on the fjord. Ask us for the dates.'],
            ['ask' => 'What if I fall behind?', 'answer' => 'Nothing runs away. A lesson that has opened stays open as long as your pass does.'],
        ],
        'minutes' => ['l-welcome' => 6, 'l-open-day' => 10, 'l-planes' => 18, 'p-iron' => 12, 'l-timber' => 24, 'l-advanced' => 26, 'l-steam' => 16, 'l-garboard' => 42, 'l-rivets' => 22, 'l-launch' => 38, 'l-bonus' => 14],
    ],
    'steam-frames' => [
        'subject' => 'Hull',
        'drawing' => 'frames',
        'sentence' => 'From a green log to a frame that keeps its curve.',
        'outcomes' => ['Read a log from its end, before you pay for it', 'Split blanks that follow the grain', 'Bend a frame in the thirty seconds you have'],
        'questions' => [['ask' => 'Do I need a steam box?', 'answer' => 'You build one in the second module, of what lies about.']],
        'contact' => ['Aksel Vik', 'aksel@alder.test'],
        'minutes' => ['l-log' => 9, 'l-rive' => 17, 'l-heat' => 14, 'l-trap' => 11, 'l-clench' => 19],
    ],
    'sails' => [
        'subject' => 'Rig and sails',
        'drawing' => 'sails',
        'sentence' => 'Cut, seam and rope a small lugsail on the floor of your kitchen.',
        'outcomes' => ['Sew a flat seam that lies flat', 'Set reef points where the wind will ask for them'],
        'minutes' => ['l-cloth' => 12, 'l-seams' => 25, 'l-reef' => 15],
    ],
    'winter-refit' => [
        'subject' => 'Winter work',
        'drawing' => 'arches',
        'sentence' => 'Strip, caulk, paint and launch with a crew, while the fjord is cold.',
        'outcomes' => ['Know which seams to open and which to leave', 'Roll oakum and pay a seam so that it stays dry'],
        'minutes' => ['l-scrape' => 20, 'l-oakum' => 22, 'l-pay' => 18, 'l-coats' => 30],
    ],
    'oars' => ['subject' => 'Rig and sails', 'drawing' => 'oars', 'sentence' => 'A pair of oars that fit your boat, and you.'],
    'petrol' => ['subject' => 'Winter work', 'drawing' => 'rings', 'sentence' => 'What to do when the engine coughs.'],
];
