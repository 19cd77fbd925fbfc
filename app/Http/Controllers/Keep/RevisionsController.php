<?php

declare(strict_types=1);

namespace App\Http\Controllers\Keep;

use App\Actions\DraftConflict;
use App\Actions\NoteRehearsal;
use App\Actions\TakeBackRevision;
use App\Http\Requests\TakeBackRequest;
use App\Keep\CourseDesk;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final readonly class RevisionsController
{
    public function __construct(private CourseDesk $desk)
    {
    }

    public function rehearse(Course $course, NoteRehearsal $note): Response|RedirectResponse
    {
        $mayEdit = Gate::allows('edit-rules');
        $page = $this->desk->rehearse($course, $mayEdit);
        if ($page === null) {
            return redirect()->route('keep.course', $course);
        }
        if ($mayEdit) {
            $note($course, $page->course->draftVersion);
        }

        return Inertia::render('keep/Rehearsal', get_object_vars($page));
    }

    public function index(Course $course): Response
    {
        return Inertia::render('keep/History', get_object_vars($this->desk->history($course, Gate::allows('edit-rules'))));
    }

    public function takeBack(TakeBackRequest $request, Course $course, TakeBackRevision $takeBack): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        try {
            [$revision, $changes] = $takeBack($course, $request->integer('live'), $request->integer('number'), $person);
        } catch (DraftConflict $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }

        return back()->with('flash', ['kind' => 'done', 'text' => "Revision {$request->integer('number')} is live again, as revision {$revision->number}.", 'lines' => $changes]);
    }
}
