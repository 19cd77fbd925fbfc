<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\SchoolClock;
use App\Access\WhoLooks;
use App\Drafts\DraftConflict;
use App\Http\Requests\DraftRequest;
use App\Http\Requests\SetPublicationRequest;
use App\Models\Course;
use App\Pages\Shared\Flash;
use App\Publishing\SetPublication;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;

/** The time at which a draft is to go live. */
final readonly class PublicationController
{
    public function __construct(private SetPublication $set)
    {
    }

    public function update(SetPublicationRequest $request, Course $course, SchoolClock $clock): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        try {
            ($this->set)($course, $request->integer('version'), $request->at($clock), $request->receipt(), $request->note(), $person);
        } catch (DraftConflict $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return redirect()->route('keep.course', $course)->with(Flash::done(Say::text('told.publication_controller.draft_goes_live_when', ['when' => $clock->words($request->at($clock))])));
    }

    public function destroy(DraftRequest $request, Course $course): RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        $this->set->takeBack($course, $person);

        return back();
    }
}
