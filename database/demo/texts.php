<?php

declare(strict_types=1);

// What the courses of the demo say of themselves, and their lessons, in Markdown; what their boards are for, and what their quizzes ask.
return [
    'clinker' => [
        'about' => "Hang three strakes on a small pram and learn what holds a clinker boat together: **planks first, frames after**. Fourteen evenings in the shed, at your own pace between them.\n\nFor whoever can hold a plane, or would like to.",
        'items' => [
            'b-news' => 'The shed is heated from **seven in the morning**. Please bring your own gloves.',
            'l-welcome' => "A clinker boat is built from the outside in: planks first, frames after. In this course you hang three strakes on a small pram and learn what holds them together.\n\n- Bring a sharp pencil and a sharper plane.\n- Read each lesson before you cut.\n\n> Measure with your eye, then check with the rule.",
            'l-open-day' => 'Walk clockwise. The steam box is hot; the coffee is hotter.',
            'm-tools' => 'Sharp first. Nothing here needs more than a plane, a chisel and an evening.',
            'l-planes' => "Flatten the sole on glass with wet paper, corner to corner, until the scratches run one way. Set the mouth no wider than the shaving you want.\n\n1. Back off the frog.\n2. Lap the back of the iron.\n3. Close the mouth.",
            'p-iron' => 'Twenty-five degrees for larch, thirty for oak. Dip it before the edge turns blue.',
            'l-timber' => 'Look for slow growth: fifteen rings to the thumb. Sapwood is for kindling.',
            'l-advanced' => 'Follow one ray from the heart to the bark. Where it wanders, the plank will too.',
            'l-steam' => 'An hour for every inch. Count from when the box hisses, not from when you lit the stove.',
            'l-garboard' => 'The first plank twists more than any other. Clamp it dry, walk round it twice, and only then reach for the plane.',
            'l-rivets' => 'Nip the nail a third of its width above the rove. Four light blows beat one heavy one.',
            'l-launch' => 'Let her take up water for a night before you ask her to float.',
            'l-bonus' => 'Leave the loom heavy. A light blade and a heavy hand make a quiet stroke.',
            'l-next' => 'Notes for a twelve-foot skiff.',
            'b-marks' => '',
        ],
        'boards' => ['b-news' => 'announcements', 'b-marks' => 'marks'],
        'quizzes' => ['l-timber' => [
            ['ask' => 'Which larch do you want for a plank?', 'answers' => ['Fast-grown, with wide rings', 'Slow-grown, with narrow rings', 'The cheapest'], 'right' => [1], 'told' => ['It soaks up water, and moves with it.', '', 'It is the dearest in the end.']],
            ['ask' => 'What is the sapwood for?', 'answers' => ['Kindling', 'The garboard', 'Oars'], 'right' => [0]],
            ['ask' => 'What do you look for in a log?', 'answers' => ['Straight grain', 'Tight knots or none', 'A smooth bark'], 'right' => [0, 1]],
        ]],
    ],
    'steam-frames' => [
        'about' => 'From the standing oak to the clenched frame, a fortnight for each step.',
        'items' => [
            'l-log' => 'Buy the butt, and buy it wet.',
            'l-rive' => 'Split, never saw: the froe finds the grain for you.',
            'l-heat' => 'Pack the ends with wet rag and keep the kettle rolling.',
            'l-trap' => 'You have thirty seconds. Use twenty.',
            'l-clench' => 'One hand inside, one outside, and somebody to hold the dolly.',
            'b-bench' => 'Ask, answer, offer a hand.',
        ],
        'boards' => ['b-bench' => 'discussion'],
    ],
    'sails' => [
        'about' => 'Three short lessons for anybody with a needle and a window.',
        'items' => [
            'l-cloth' => 'Hold it to the window and pull it on the bias.',
            'l-seams' => "Seven stitches to the needle's length.",
            'l-reef' => 'Tie them in before you need them.',
        ],
    ],
    'winter-refit' => [
        'about' => 'Bring a tired boat through the winter with us: scraped, caulked and painted by spring.',
        'items' => [
            'l-scrape' => 'Pull, do not push, and stop at the first bright grain.',
            'l-oakum' => 'Between your palms, as thick as the seam is deep.',
            'l-pay' => 'Fill from the bottom so that no air is left behind.',
            'l-coats' => 'A thick coat is a thin coat that has not peeled yet.',
            'b-dates' => '',
        ],
        'boards' => ['b-dates' => 'calendar'],
    ],
    'petrol' => [
        'about' => 'Kept open for those who learned it here.',
        'items' => [
            'l-carburettor' => 'Kept for those who learned it here.',
            'l-winter' => 'Drain it, oil it, cover it.',
        ],
    ],
];
