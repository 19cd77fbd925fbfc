<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

/** Which rules are looked at where some wait to be published. */
enum RulesVersion: string
{
    case Draft = 'draft';
    case Published = 'published';
    case Both = 'both';
}
