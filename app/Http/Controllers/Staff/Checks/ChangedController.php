<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Checks;

use App\Http\Text;
use App\Models\Course;
use App\Pages\Changed\ChangedPageBuilder;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** What changed for whom at a course. */
final readonly class ChangedController
{
    public function __invoke(Request $request, Course $course, ChangedPageBuilder $pages): Response
    {
        return Inertia::render('keep/Changed', get_object_vars($pages->page($course, Text::of($request, 'from', 30), Text::of($request, 'until', 30), Text::of($request, 'revision', 12))));
    }
}
