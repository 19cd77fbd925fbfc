<?php

declare(strict_types=1);

namespace App\Drafts\GivenUp;

use App\Models\Course;
use App\Models\Person;

/** What was given up is a draft again; told within the transaction, so that what lessons were to hold comes back with it. */
final readonly class DraftBroughtBack
{
    /** @param  array<array-key, array{text: string, quiz: list<array{ask: string, answers: list<string>, right: list<int>}>, quiz_rules: ?array<string, mixed>, board: ?string, minutes: ?int, cover?: ?array{token: string, x: int, y: int}}>  $contents  what was drafted of items, by key */
    public function __construct(public Course $course, public array $contents, public Person $author)
    {
    }
}
