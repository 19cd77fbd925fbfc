<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\BoardPost;
use App\Models\Course;
use App\Models\Person;
use Psr\Clock\ClockInterface;

/** Somebody says something on a board. Whether they may is for the caller to have asked the core. */
final readonly class SayOnBoard
{
    public function __construct(private ClockInterface $clock)
    {
    }

    /** @param  ?string  $once  made by the page that sends it: the same again says nothing more */
    public function __invoke(Person $person, Course $course, string $board, string $text, ?string $once): void
    {
        $said = ['course_id' => $course->id, 'item_key' => $board, 'person_id' => $person->id, 'text' => $text, 'posted_at' => $this->clock->now()];
        $once === null ? BoardPost::query()->create($said) : BoardPost::query()->firstOrCreate(['once' => "{$person->id} {$once}"], $said);
    }
}
