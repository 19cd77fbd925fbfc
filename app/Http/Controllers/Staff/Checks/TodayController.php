<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Checks;

use App\Access\Staff\StaffCourses;
use App\Access\WhoLooks;
use App\Http\Text;
use App\Pages\Today\TodayPageBuilder;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What is on in the school. */
final readonly class TodayController
{
    public function show(Request $request, TodayPageBuilder $pages, StaffCourses $staff): Response
    {
        $week = $request->query('week');

        return Inertia::render('keep/Today', get_object_vars($pages->page(is_string($week) && preg_match('/^\d{4}-\d{2}-\d{2}$/D', $week) === 1 ? $week : null, Gate::allows('run-school'), $staff->only(WhoLooks::signedIn($request)), max(1, (int) Text::of($request, 'page', 6)))));
    }
}
