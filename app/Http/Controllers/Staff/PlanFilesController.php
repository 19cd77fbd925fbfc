<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\SchoolOf;
use App\Access\WhoLooks;
use App\Cartridges\MakeFromCartridge;
use App\Cartridges\NotACartridge;
use App\Http\Requests\PlanFileRequest;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Person;
use App\Pages\Shared\Flash;
use App\Publishing\Plans\ImportPlan;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Validation\ValidationException;
use SilentKeep\Core\Format\InvalidPlan;

/** Courses as open plan documents. */
final readonly class PlanFilesController
{
    /** Courses from a plan file, as drafts: all of them, or none. */
    public function store(PlanFileRequest $request, ImportPlan $import, MakeFromCartridge $make, SchoolOf $school): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        if ($request->isCartridge()) {
            return self::fromCartridge($request, $make, $person);
        }
        try {
            $made = array_column($import($request->text(), $school(), $person, asDrafts: true), 'course');
        } catch (InvalidPlan $e) {
            throw PlanFileRequest::refusal($e);
        }

        return count($made) === 1 ? redirect()->route('keep.course', $made[0]) : redirect()->route('keep.courses')
            ->with(Flash::done(Say::text('told.plan_files_controller.count_courses_in_not', ['count' => count($made)])));
    }

    private static function fromCartridge(PlanFileRequest $request, MakeFromCartridge $make, Person $person): RedirectResponse
    {
        try {
            [$course, $left] = $make($request->kept(), $person);
        } catch (NotACartridge $e) {
            throw ValidationException::withMessages(['plan' => $e->getMessage()]);
        }

        return redirect()->route('keep.course', $course)->with(Flash::done(Say::text('told.plan_files_controller.from_cartridge'), $left));
    }

    /** The rules of what is live, or of the draft where nothing is, as an open plan document. */
    public function show(Course $course, SchoolOf $school): HttpResponse
    {
        $document = $course->liveRevision->document ?? $course->draft?->document;
        abort_if($document === null, 404);

        return new HttpResponse(CourseDocument::fromJson($document)->planJson($school()), 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.$course->key.'.plan.json"',
        ]);
    }
}
