<?php

declare(strict_types=1);

namespace App\Ledger\Past;

use App\Access\Answer;
use App\Models\CourseDocument;
use App\Models\School;

/** What somebody was answered at a moment, by the rules and facts of then. */
final readonly class PastAnswer
{
    /**
     * @param  int  $revision  its number in the course
     * @param  bool  $wasThere  whether they were known to the school
     * @param  School  $school  as it was
     */
    public function __construct(public Answer $answer, public int $revision, public CourseDocument $document, public School $school, public bool $wasThere)
    {
    }
}
