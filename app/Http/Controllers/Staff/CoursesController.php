<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\SchoolOf;
use App\Drafts\MakeCourse;
use App\Http\Requests\MakeCourseRequest;
use App\Http\Requests\PlanFileRequest;
use App\Http\Requests\WorkspaceRequest;
use App\Http\Text;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Courses\CoursesPage;
use App\Pages\Courses\CoursesPageBuilder;
use App\Pages\Workspace\WorkspacePageBuilder;
use App\Publishing\ImportPlan;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use SilentKeep\Core\Format\InvalidPlan;

final readonly class CoursesController
{
    public function __construct(private CoursesPageBuilder $courses, private WorkspacePageBuilder $workspace)
    {
    }

    public function index(): Response
    {
        return Inertia::render('keep/Courses', get_object_vars(new CoursesPage($this->courses->list(), Gate::allows('edit-rules'))));
    }

    public function store(MakeCourseRequest $request, MakeCourse $make): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        $like = Text::of($request, 'like') === '' ? null : $this->courses->named(Text::of($request, 'like'));

        return redirect()->route('keep.course', $make($request->string('title')->trim()->toString(), $like, $person));
    }

    /** Courses from a plan file, as drafts: all of them, or none. */
    public function storeFile(PlanFileRequest $request, ImportPlan $import, SchoolOf $school): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        try {
            $made = array_column($import($request->text(), $school(), $person, asDrafts: true), 'course');
        } catch (InvalidPlan $e) {
            throw PlanFileRequest::refusal($e);
        }

        return count($made) === 1 ? redirect()->route('keep.course', $made[0]) : redirect()->route('keep.courses')
            ->with('flash', ['kind' => 'done', 'text' => count($made).' courses are in, not live yet.', 'lines' => []]);
    }

    public function show(WorkspaceRequest $request, Course $course): Response
    {
        $reader = $request->user();
        assert($reader instanceof Person);
        $page = $this->workspace->page($course, $request->lens(), $request->plan(), $request->look(), $reader, $request->mayEdit());

        return Inertia::render('keep/Workspace', get_object_vars($page));
    }
}
