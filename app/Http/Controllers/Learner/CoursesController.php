<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Http\Pages\Learner\MyCoursesPage;
use App\Keep\LearnerDesk;
use App\Keep\LearnerPages;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final readonly class CoursesController
{
    public function __construct(private LearnerDesk $desk, private LearnerPages $pages)
    {
    }

    public function index(Request $request): Response
    {
        $person = $request->user();
        assert($person instanceof Person);

        return Inertia::render('learner/MyCourses', get_object_vars(new MyCoursesPage($this->desk->coursesOf($person))));
    }

    public function show(Request $request, Course $course): Response
    {
        $person = $request->user();
        $view = $this->desk->view($course, $person instanceof Person ? $person : null);
        $page = $view === null ? null : $this->pages->course($view);
        abort_if($page === null, 404);

        return Inertia::render('learner/Course', get_object_vars($page));
    }
}
