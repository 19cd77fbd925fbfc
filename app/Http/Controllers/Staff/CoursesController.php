<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\Staff\StaffCourses;
use App\Access\WhoLooks;
use App\Drafts\MakeCourse;
use App\Http\Requests\MakeCourseRequest;
use App\Http\Requests\WorkspaceRequest;
use App\Http\Text;
use App\Models\Course;
use App\Pages\Courses\CoursesPage;
use App\Pages\Courses\CoursesPageBuilder;
use App\Pages\Workspace\WorkspacePageBuilder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final readonly class CoursesController
{
    public function __construct(private CoursesPageBuilder $courses, private WorkspacePageBuilder $workspace, private StaffCourses $staff)
    {
    }

    public function index(Request $request): Response
    {
        return Inertia::render('keep/Courses', get_object_vars(new CoursesPage($this->courses->list($this->staff->only(WhoLooks::signedIn($request))), Gate::allows('edit-rules'))));
    }

    public function store(MakeCourseRequest $request, MakeCourse $make): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        $like = Text::of($request, 'like') === '' ? null : $this->courses->named(Text::of($request, 'like'));

        return redirect()->route('keep.course', $make($request->string('title')->trim()->toString(), $like, $person));
    }

    public function show(WorkspaceRequest $request, Course $course): Response
    {
        $reader = WhoLooks::signedIn($request);
        $page = $this->workspace->page($course, $request->lens(), $request->plan(), $request->look(), $reader, $request->mayEdit());

        return Inertia::render('keep/Workspace', get_object_vars($page));
    }
}
