<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Checks;

use App\Models\Course;
use App\Pages\Numbers\NumbersPageBuilder;
use Inertia\Inertia;
use Inertia\Response;

/** A course in numbers. */
final readonly class NumbersController
{
    public function __invoke(Course $course, NumbersPageBuilder $pages): Response
    {
        return Inertia::render('keep/Numbers', get_object_vars($pages->page($course)));
    }
}
