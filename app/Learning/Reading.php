<?php

declare(strict_types=1);

namespace App\Learning;

use App\Models\Person;

/** For whom a page of the learner's side is put together, beside what the core knows of them. */
final readonly class Reading
{
    /**
     * @param  string  $bearer  for whom addresses of media are made: one person, or one visit of somebody who is not known
     * @param  ?string  $signIn  where to sign in and come back, for those who have not
     * @param  ?Person  $person  who reads it, where it is really them
     * @param  ?int  $learner  the person whose marks and tries are shown
     * @param  bool  $real  not a stand-in's
     * @param  bool  $drafted  as lessons are to be once the draft of the course is published
     */
    public function __construct(public string $bearer, public ?string $signIn = null, public ?Person $person = null, public ?int $learner = null, public bool $real = true, public bool $drafted = false)
    {
    }
}
