<?php

declare(strict_types=1);

// What the lessons of the demo say, by course and item, in Markdown.
return [
    'clinker' => [
        'b-news' => "The shed is heated from **seven in the morning**. Please bring your own gloves.",
        'l-welcome' => "## Come in\n\nA clinker boat is built from the outside in: planks first, frames after. In this course you hang three strakes on a small pram and learn what holds them together.\n\n- Bring a sharp pencil and a sharper plane.\n- Read each lesson before you cut.\n\n> Measure with your eye, then check with the rule.",
        'l-open-day' => "## The shed on an open day\n\nWalk clockwise. The steam box is hot; the coffee is hotter.",
        'l-planes' => "## Tuning a plane\n\nFlatten the sole on glass with wet paper, corner to corner, until the scratches run one way. Set the mouth no wider than the shaving you want.\n\n1. Back off the frog.\n2. Lap the back of the iron.\n3. Close the mouth.",
        'p-iron' => "### Grinding the iron\n\nTwenty-five degrees for larch, thirty for oak. Dip it before the edge turns blue.",
        'l-timber' => "## Choosing larch\n\nLook for slow growth: fifteen rings to the thumb. Sapwood is for kindling.",
        'l-advanced' => "## Reading grain in oak\n\nFollow one ray from the heart to the bark. Where it wanders, the plank will too.",
        'l-steam' => "## The steam box\n\nAn hour for every inch. Count from when the box hisses, not from when you lit the stove.",
        'l-garboard' => "## The garboard\n\nThe first plank twists more than any other. Clamp it dry, walk round it twice, and only then reach for the plane.",
        'l-rivets' => "## Rivets and roves\n\nNip the nail a third of its width above the rove. Four light blows beat one heavy one.",
        'l-launch' => "## Launch day\n\nLet her take up water for a night before you ask her to float.",
        'l-bonus' => "## Building the oars\n\nLeave the loom heavy. A light blade and a heavy hand make a quiet stroke.",
        'l-next' => "## The next boat\n\nNotes for a twelve-foot skiff.",
    ],
    'steam-frames' => [
        'l-log' => "## Reading a log\n\nBuy the butt, and buy it wet.",
        'l-rive' => "## Riving blanks\n\nSplit, never saw: the froe finds the grain for you.",
        'l-heat' => "## Forty minutes of steam\n\nPack the ends with wet rag and keep the kettle rolling.",
        'l-trap' => "## Bending over the trap\n\nYou have thirty seconds. Use twenty.",
        'l-clench' => "## Clenching frames\n\nOne hand inside, one outside, and somebody to hold the dolly.",
    ],
    'sails' => [
        'l-cloth' => "## Choosing cloth\n\nHold it to the window and pull it on the bias.",
        'l-seams' => "## Flat seams\n\nSeven stitches to the needle's length.",
        'l-reef' => "## Reef points\n\nTie them in before you need them.",
    ],
    'winter-refit' => [
        'l-scrape' => "## Scraping back to wood\n\nPull, do not push, and stop at the first bright grain.",
        'l-oakum' => "## Rolling oakum\n\nBetween your palms, as thick as the seam is deep.",
        'l-pay' => "## Paying seams\n\nFill from the bottom so that no air is left behind.",
        'l-coats' => "## Three thin coats\n\nA thick coat is a thin coat that has not peeled yet.",
    ],
    'petrol' => [
        'l-carburettor' => "## The carburettor\n\nKept for those who learned it here.",
        'l-winter' => "## Laying up an engine\n\nDrain it, oil it, cover it.",
    ],
];
