<?php

declare(strict_types=1);

namespace App\Words;

final readonly class Notice
{
    public function __construct(public Sentence $heading, public Sentence $text)
    {
    }
}
