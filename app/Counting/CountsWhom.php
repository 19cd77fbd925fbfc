<?php

declare(strict_types=1);

namespace App\Counting;

use App\Models\Course;
use Illuminate\Database\Query\Builder;

/** Something that is counted on others than those who hold a pass now. */
interface CountsWhom extends CountsPeople
{
    /**
     * @param  string  $what  as the count is called
     * @return Builder of rows with a `person_id`; somebody may have several
     */
    public function whom(string $what, Course $course): Builder;
}
