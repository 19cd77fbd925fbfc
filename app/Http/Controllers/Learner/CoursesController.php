<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\Lookers;
use App\Access\WhoLooks;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Learner\CoursePageBuilder;
use App\Pages\Learner\FrontPageBuilder;
use App\Pages\Learner\MyCoursesPage;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final readonly class CoursesController
{
    public function __construct(private FrontPageBuilder $desk, private CoursePageBuilder $pages, private WhoLooks $who)
    {
    }

    public function index(Request $request, Lookers $lookers): Response
    {
        $person = $request->user();
        assert($person instanceof Person);
        $observed = $this->who->observed($request, $person);

        return Inertia::render('learner/MyCourses', get_object_vars(new MyCoursesPage($this->desk->coursesOf($person, $observed), $lookers->learnersOf($person), $observed?->id)));
    }

    public function show(Request $request, Course $course): Response
    {
        $view = $this->desk->view($course, $this->who->at($request, $course));
        $page = $view === null ? null : $this->pages->course($course, $view, WhoLooks::person($request)?->id);
        abort_if($page === null, 404);

        return Inertia::render('learner/Course', get_object_vars($page));
    }

    /** With whom an observer looks from now on; nobody: as themselves. */
    public function lookWith(Request $request, Lookers $lookers): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        $learner = $request->integer('learner');
        if ($learner === 0) {
            $request->session()->forget(WhoLooks::OBSERVED);
        } else {
            abort_if($lookers->observed($person, $learner) === null, 404);
            $request->session()->put(WhoLooks::OBSERVED, $learner);
        }

        return back();
    }
}
