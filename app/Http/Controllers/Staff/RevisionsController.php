<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Drafts\DraftConflict;
use App\Http\Requests\DraftRequest;
use App\Http\Requests\RehearsalRequest;
use App\Http\Requests\SetPublicationRequest;
use App\Http\Requests\TakeBackRequest;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Person;
use App\Pages\Courses\HistoryPageBuilder;
use App\Pages\Courses\RehearsalPageBuilder;
use App\Publishing\SetPublication;
use App\Publishing\TakeBackRevision;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final readonly class RevisionsController
{
    public function __construct(private RehearsalPageBuilder $rehearsals, private HistoryPageBuilder $history)
    {
    }

    public function rehearse(RehearsalRequest $request, Course $course, SchoolClock $clock): Response|RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        $page = $this->rehearsals->page($course, $request->back(), $request->setFor($clock), $request->anew(), $person, Gate::allows('edit-rules'));

        return $page === null ? redirect()->route('keep.course', $course) : Inertia::render('keep/Rehearsal', get_object_vars($page));
    }

    /** Begins a long rehearsal, or tells how far it has come. */
    public function goOn(RehearsalRequest $request, Course $course, SchoolClock $clock): JsonResponse
    {
        $progress = $this->rehearsals->progress($course, $request->back(), $request->setFor($clock));

        return $progress === null ? new JsonResponse(['message' => 'There is nothing to rehearse any more.'], 410) : new JsonResponse($progress);
    }

    public function setTime(SetPublicationRequest $request, Course $course, SetPublication $set, SchoolClock $clock): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        try {
            $set($course, $request->integer('version'), $request->at($clock), $request->receipt(), $request->note(), $person);
        } catch (DraftConflict $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }

        return redirect()->route('keep.course', $course)->with('flash', ['kind' => 'done', 'text' => "The draft goes live {$clock->words($request->at($clock))}, as it is now.", 'lines' => []]);
    }

    public function unsetTime(DraftRequest $request, Course $course, SetPublication $set): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        $set->takeBack($course, $person);

        return back();
    }

    /** The rules of what is live, or of the draft where nothing is, as an open plan document. */
    public function file(Course $course, SchoolOf $school): HttpResponse
    {
        $document = $course->liveRevision->document ?? $course->draft?->document;
        abort_if($document === null, 404);

        return new HttpResponse(CourseDocument::fromJson($document)->planJson($school()), 200, [
            'Content-Type' => 'application/json; charset=utf-8',
            'Content-Disposition' => "attachment; filename=\"{$course->key}.plan.json\"",
        ]);
    }

    public function index(Course $course): Response
    {
        return Inertia::render('keep/History', get_object_vars($this->history->page($course, Gate::allows('edit-rules'))));
    }

    public function takeBack(TakeBackRequest $request, Course $course, TakeBackRevision $takeBack): RedirectResponse
    {
        $person = $request->user();
        assert($person instanceof Person);
        try {
            [$revision, $changes] = $takeBack($course, $request->integer('live'), $request->integer('number'), $request->receipt(), $request->note(), $person);
        } catch (DraftConflict $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }

        return redirect()->route('keep.history', $course)->with('flash', ['kind' => 'done', 'text' => "Revision {$request->integer('number')} is live again, as revision {$revision->number}.", 'lines' => $changes]);
    }
}
