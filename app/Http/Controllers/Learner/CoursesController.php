<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\Viewers;
use App\Access\WhoLooks;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Pages\Learner\CoursePageBuilder;
use App\Pages\Learner\MyCoursesBuilder;
use App\Pages\Learner\MyCoursesPage;
use App\Pages\Learner\Shared\PublicPages;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Inertia\Support\Header;

final readonly class CoursesController
{
    public function __construct(private MyCoursesBuilder $lists, private LearnerViews $views, private CoursePageBuilder $pages, private WhoLooks $who, private PublicPages $public)
    {
    }

    public function index(Request $request, Viewers $viewers): Response
    {
        $person = WhoLooks::signedIn($request);
        $observed = $this->who->observed($request, $person);

        return Inertia::render('learner/MyCourses', get_object_vars(new MyCoursesPage($this->lists->coursesOf($person, $observed), $viewers->learnersOf($person), $observed?->id)));
    }

    public function show(Request $request, Course $course): Response
    {
        $view = $this->views->at($course, $this->who->at($request, $course));
        $page = $view === null ? null : $this->pages->course($course, $view, WhoLooks::person($request)?->id, WhoLooks::person($request));
        abort_if($page === null, 404);

        return Inertia::render('learner/Course', get_object_vars($page))->withViewData('head', $request->headers->has(Header::INERTIA) ? null : $this->public->course($course, $page));
    }

    /** With whom an observer looks from now on; nobody: as themselves. */
    public function lookWith(Request $request, Viewers $viewers): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        $learner = $request->integer('learner');
        abort_if($learner !== 0 && $viewers->observed($person, $learner) === null, 404);
        $request->session()->put(WhoLooks::OBSERVED, $learner);

        return $this->isSeen($request) ? back() : redirect()->route('courses');
    }

    /** From a letter: to the learner it names. */
    public function lookIn(Request $request, int $learner, Viewers $viewers): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        $observed = $viewers->observed($person, $learner) ?? abort(404);
        $request->session()->put(WhoLooks::OBSERVED, $learner);
        $course = $this->lists->onlyCourse($person, $observed);

        return $course === null ? redirect()->route('courses') : redirect()->route('course', $course);
    }

    /** Whether the page that they come from is there for them, looking as they do now. */
    private function isSeen(Request $request): bool
    {
        if (preg_match('#^/courses/([^/]+)(?:/([^/]+))?$#', (string) parse_url(url()->previous(), PHP_URL_PATH), $found) !== 1) {
            return true;
        }
        $course = Course::foundAt(rawurldecode($found[1]));
        $view = $course === null ? null : $this->views->at($course, $this->who->at($request, $course));

        return $view !== null && $view->isVisible() && (! isset($found[2]) || $view->decision(rawurldecode($found[2])) !== null);
    }
}
