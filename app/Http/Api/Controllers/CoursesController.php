<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\SchoolOf;
use App\Access\WhoLooks;
use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\Plan;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\Cursor;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Revision;
use App\Pages\Api\Courses\CourseList;
use App\Pages\Api\Courses\CoursesBuilder;
use App\Pages\Api\Courses\CourseTold;
use App\Pages\Api\Courses\PlanChecked;
use App\Pages\Api\Courses\PlanOffence;
use App\Pages\Api\Courses\RevisionList;
use App\Publishing\Plans\ImportPlan;
use App\Publishing\Plans\PutPlanInDraft;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilentKeep\Core\Format\InvalidPlan;

/** Courses, their history, and their rules as open plan documents. */
final readonly class CoursesController
{
    public function __construct(private CoursesBuilder $courses)
    {
    }

    #[Operation('Courses', answers: CourseList::class)]
    #[Parameter('after', 'Cursor of the list before.')]
    #[Parameter('limit', 'How many at most: 50, up to 200.', ParameterType::Number)]
    public function index(Request $request): JsonResponse
    {
        $asked = Asked::of($request);
        $size = Cursor::size($asked);
        [$shown, $next] = Cursor::cut($this->courses->some(Cursor::read($asked), $size), $size, static fn (Course $course): int => $course->id);

        return new JsonResponse(new CourseList(array_map($this->courses->course(...), $shown), $next));
    }

    #[Operation('Makes courses of a plan document', answers: CourseList::class, status: 201, takes: Plan::class, says: 'All of them or none, as drafts: nobody sees them before they are published.')]
    public function store(Request $request, ImportPlan $import, SchoolOf $school): JsonResponse
    {
        Body::type($request);
        $made = $import($request->getContent(), $school(), WhoLooks::signedIn($request), asDrafts: true);
        $courses = Course::query()->with(['liveRevision', 'draft'])->whereIn('key', array_column($made, 'course'))->orderBy('id')->get()->all();

        return new JsonResponse(new CourseList(array_map($this->courses->course(...), array_values($courses)), null), 201);
    }

    #[Operation('One course', answers: CourseTold::class)]
    public function show(Request $request, Course $course): JsonResponse
    {
        Asked::of($request);

        return new JsonResponse($this->courses->course($course->load(['liveRevision', 'draft'])));
    }

    #[Operation('The rules of a course as a plan document', answers: Plan::class)]
    #[Parameter('revision', 'Number of a publication. Left out: the one that is live.', ParameterType::Number)]
    #[Parameter('draft', 'Whether the draft is wanted instead.', ParameterType::Flag)]
    public function plan(Request $request, Course $course, SchoolOf $school): Response
    {
        $asked = Asked::of($request);
        $number = $asked->number('revision');
        $document = match (true) {
            $asked->is('draft') => $course->draft?->document,
            $number !== null => $course->revisions()->where('number', $number)->first()?->document,
            default => $course->liveRevision?->document,
        };

        return new Response(CourseDocument::fromJson($document ?? throw new Problem(ProblemKind::NotFound))->planJson($school()), 200, ['Content-Type' => 'application/json']);
    }

    #[Operation('Publications of a course', answers: RevisionList::class)]
    #[Parameter('after', 'Cursor of the list before.')]
    #[Parameter('limit', 'How many at most: 50, up to 200.', ParameterType::Number)]
    public function revisions(Request $request, Course $course): JsonResponse
    {
        $asked = Asked::of($request);
        $size = Cursor::size($asked);
        [$shown, $next] = Cursor::cut(CoursesBuilder::revisions($course, Cursor::read($asked), $size), $size, static fn (Revision $revision): int => $revision->number);

        return new JsonResponse(new RevisionList(array_map(CoursesBuilder::revision(...), $shown), $next));
    }

    #[Operation('Whether a plan document is valid and fits this school', answers: PlanChecked::class, takes: Plan::class, says: 'Nothing is changed. A document that breaks the format is answered with all of its offences.')]
    public function check(Request $request, PutPlanInDraft $put): JsonResponse
    {
        Body::type($request);
        try {
            $put->check($request->getContent());
        } catch (InvalidPlan $e) {
            return new JsonResponse(new PlanChecked(valid: false, offences: array_map(static fn ($one): PlanOffence => new PlanOffence($one->pointer, $one->message), $e->offences)));
        }

        return new JsonResponse(new PlanChecked(valid: true, offences: []));
    }
}
