<?php

declare(strict_types=1);

namespace App\Http\Controllers\Keep;

use App\Actions\MakeCourse;
use App\Http\Pages\Keep\CoursesPage;
use App\Http\Requests\MakeCourseRequest;
use App\Http\Requests\WorkspaceRequest;
use App\Keep\CourseDesk;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final readonly class CoursesController
{
    public function __construct(private CourseDesk $desk)
    {
    }

    public function index(): Response
    {
        return Inertia::render('keep/Courses', get_object_vars(new CoursesPage($this->desk->list(), Gate::allows('edit-rules'))));
    }

    public function store(MakeCourseRequest $request, MakeCourse $make): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        $like = $request->filled('like') ? $this->desk->named($request->string('like')->toString()) : null;

        return redirect()->route('keep.course', $make($request->string('title')->trim()->toString(), $like, $person));
    }

    public function show(WorkspaceRequest $request, Course $course): Response
    {
        $page = $this->desk->workspace($course, $request->lens(), $request->plan(), $request->at(), $request->days(), $request->asPublished(), $request->mayEdit());

        return Inertia::render('keep/Workspace', get_object_vars($page));
    }
}
