<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Doors;

use App\Access\WhoLooks;
use App\Drafts\DraftCollision;
use App\Drafts\DraftConflict;
use App\Drafts\EditDraft;
use App\Drafts\Edits\CannotEdit;
use App\Drafts\MakeCourse;
use App\Http\Requests\RunAgainRequest;
use App\Models\Course;
use App\Notices\NextRuns\BeginTelling;
use App\Notices\NextRuns\TellOfNextRun;
use App\Pages\Courses\RunAgainPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Runs a course again: all its dates moved together, and those who asked to be told written to. */
final readonly class RunAgainController
{
    public function __construct(private RunAgainPageBuilder $pages, private TellOfNextRun $tell)
    {
    }

    public function show(Course $course): Response
    {
        return Inertia::render('keep/RunAgain', get_object_vars($this->pages->page($course, Gate::allows('edit-rules'), Gate::allows('run-school'))));
    }

    /** Where each date would go, before anything is kept. */
    public function dates(RunAgainRequest $request, Course $course): JsonResponse
    {
        return new JsonResponse($this->pages->moved($course, $request->first(), $request->keepsWeekdays(), $request->skipsHolidays()));
    }

    /** In the draft of the course, to be looked at over time and published; or in a course like it. */
    public function store(RunAgainRequest $request, Course $course, EditDraft $edit, MakeCourse $make): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $shift = $this->pages->shift($course, $request->first(), $request->keepsWeekdays(), $request->skipsHolidays(), $request->boolean('reopen'));
        $author = WhoLooks::signedIn($request);
        try {
            if ($request->input('as') === 'course') {
                $made = $make($request->title(), $course, $author, $shift);

                return redirect()->route('keep.course', [$made, 'lens' => 'timeline']);
            }
            $edit($course, $request->integer('version'), $shift, $author);
        } catch (CannotEdit $e) {
            throw ValidationException::withMessages([$e->field ?? 'first' => $e->getMessage()]);
        } catch (DraftCollision $e) {
            return back()->with(Flash::refused($e->getMessage()));
        } catch (DraftConflict $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return redirect()->route('keep.course', [$course, 'lens' => 'timeline'])->with(Flash::done(Say::text('told.run_again_controller.in_the_draft')));
    }

    /** Whether people can ask to be told. */
    public function update(Request $request, Course $course): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $course->update(['takes_next_run' => $request->boolean('takes')]);

        return back()->with(Flash::done(Say::text($course->takes_next_run ? 'told.run_again_controller.can_ask' : 'told.run_again_controller.cannot_ask')));
    }

    public function tell(Request $request, Course $course, BeginTelling $begin): RedirectResponse
    {
        Gate::authorize('run-school');
        if (! $this->tell->runs($course)) {
            return back()->with(Flash::refused(Say::text('told.run_again_controller.does_not_run')));
        }
        $waiting = $begin($course, WhoLooks::signedIn($request));

        return back()->with(Flash::done(Say::text('told.run_again_controller.written_to', ['count' => $waiting])));
    }
}
