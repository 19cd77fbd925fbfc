<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Checks;

use App\Access\WhoLooks;
use App\Checks\AcceptFinding;
use App\Checks\CourseFindings;
use App\Http\Requests\AcceptFindingRequest;
use App\Models\Course;
use App\Pages\Checks\ChecksPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What is found in the rules of a course. */
final readonly class ChecksController
{
    public function __construct(private AcceptFinding $accept)
    {
    }

    public function show(Course $course, ChecksPageBuilder $pages): Response
    {
        return Inertia::render('keep/Checks', get_object_vars($pages->page($course, Gate::allows('edit-rules'))));
    }

    public function store(AcceptFindingRequest $request, Course $course, CourseFindings $findings): RedirectResponse
    {
        $finding = $findings->shown($course, $request->string('subject')->toString(), $request->string('cause')->toString());
        if ($finding === null) {
            return back()->with(Flash::refused(Say::text('checks.page.changed')));
        }
        ($this->accept)($course, $finding, $request->string('reason')->trim()->toString(), WhoLooks::signedIn($request));

        return back()->with(Flash::done(Say::text('checks.page.done')));
    }

    public function destroy(Request $request, Course $course, string $subject): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $this->accept->takeBack($course, $subject, WhoLooks::signedIn($request));

        return back();
    }
}
