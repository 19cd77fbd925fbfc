<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Doors;

use App\Access\WhoLooks;
use App\Drafts\DraftCollision;
use App\Drafts\DraftConflict;
use App\Drafts\Retiring\PlanRetirement;
use App\Http\Requests\RetireRequest;
use App\Models\Course;
use App\Pages\Courses\RetirePageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use SilentKeep\Core\Format\InvalidPlan;

/** Ends a course: what becomes of its learners, its doors and its address, and what stands there afterwards. */
final readonly class RetireController
{
    public function __construct(private PlanRetirement $retire)
    {
    }

    public function show(Course $course, RetirePageBuilder $pages): Response
    {
        return Inertia::render('keep/Retire', get_object_vars($pages->page($course, Gate::allows('edit-rules'))));
    }

    /** In the draft; then to the rehearsal of it. */
    public function store(RetireRequest $request, Course $course): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        try {
            ($this->retire)($course, $request->integer('version'), $request->edit(), $request->with($person), $person, $request->subject());
        } catch (DraftCollision|DraftConflict $e) {
            return back()->with(Flash::refused($e->getMessage()));
        } catch (InvalidPlan $e) {
            return back()->with(Flash::refused(Say::text('told.retire_controller.does_not_go', ['why' => $e->getMessage()])));
        }

        return redirect()->route('keep.rehearsal', $course);
    }

    /** Of a course that is retired: what stands there, at once. */
    public function update(RetireRequest $request, Course $course): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        try {
            $this->retire->set($course, $request->with($person), $person, $request->subject());
        } catch (DraftConflict $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return back()->with(Flash::done(Say::text('told.retire_controller.kept')));
    }
}
