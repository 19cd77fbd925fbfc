<?php

declare(strict_types=1);

namespace App\Models;

/** Languages of the learner's side, each with its folder below lang/. */
enum Language: string
{
    case English = 'en';
    case Norwegian = 'nb';
}
