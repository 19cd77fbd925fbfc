<?php

declare(strict_types=1);

namespace App\Drafts\Outline;

use App\Models\Course;
use App\Models\Person;

/** The draft of a course has got copies of items; told within the transaction, so that the copies hold what the items do. */
final readonly class ItemsCopied
{
    /** @param  array<array-key, string>  $copies  the key of the copy, by that of the item */
    public function __construct(public Course $course, public array $copies, public Person $author)
    {
    }
}
