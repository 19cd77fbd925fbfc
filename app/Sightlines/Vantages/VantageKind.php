<?php

declare(strict_types=1);

namespace App\Sightlines\Vantages;

enum VantageKind: string
{
    case Visitor = 'visitor';
    case Guest = 'guest';
    case Member = 'member';
    case Holder = 'holder';
    case Person = 'person';
    case Observer = 'observer';
}
