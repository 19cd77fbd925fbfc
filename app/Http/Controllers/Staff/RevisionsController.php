<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Drafts\DraftConflict;
use App\Http\Requests\DraftRequest;
use App\Http\Requests\TakeBackRequest;
use App\Models\Course;
use App\Pages\Courses\HistoryPageBuilder;
use App\Pages\Shared\Flash;
use App\Publishing\PublishDraft;
use App\Publishing\TakeBackRevision;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final readonly class RevisionsController
{
    public function __construct(private HistoryPageBuilder $history)
    {
    }

    public function index(Course $course): Response
    {
        return Inertia::render('keep/History', get_object_vars($this->history->page($course, Gate::allows('edit-rules'))));
    }

    public function store(DraftRequest $request, Course $course, PublishDraft $publish): RedirectResponse
    {
        try {
            [$revision, $changes] = $publish($course, $request->version(), $request->receipt(), $request->note(), WhoLooks::signedIn($request));
        } catch (DraftConflict $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return redirect()->route('keep.course', $course)->with(Flash::done(Say::text('told.revisions_controller.published_as_revision_number', ['number' => $revision->number]), $changes));
    }

    public function restore(TakeBackRequest $request, Course $course, TakeBackRevision $takeBack): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        try {
            [$revision, $changes] = $takeBack($course, $request->integer('live'), $request->integer('number'), $request->receipt(), $request->note(), $person);
        } catch (DraftConflict $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return redirect()->route('keep.history', $course)->with(Flash::done(Say::text('told.revisions_controller.revision_integer_live_again', ['integer' => $request->integer('number'), 'number' => $revision->number]), $changes));
    }
}
