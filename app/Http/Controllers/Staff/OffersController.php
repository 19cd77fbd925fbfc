<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\SchoolClock;
use App\Access\WhoLooks;
use App\Drafts\DraftCollision;
use App\Drafts\DraftConflict;
use App\Drafts\EditDraft;
use App\Drafts\Edits\CannotEdit;
use App\Http\Requests\DraftRequest;
use App\Http\Requests\OfferAccessRequest;
use App\Http\Requests\OfferRequest;
use App\Http\Requests\TrialRequest;
use App\Http\Text;
use App\Models\Course;
use App\Models\Offer;
use App\Offers\SaveOffer;
use App\Pages\Offers\OffersPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use SilentKeep\Core\Format\InvalidPlan;

final readonly class OffersController
{
    public function __construct(private SaveOffer $save, private SchoolClock $clock)
    {
    }

    public function index(Request $request, OffersPageBuilder $pages): Response
    {
        return Inertia::render('keep/Offers', get_object_vars($pages->page(Gate::allows('run-school'), max(1, (int) Text::of($request, 'page', 6)), Text::of($request, 'course', 100))));
    }

    /** Name, price and the like: at once. */
    public function update(OfferRequest $request, Offer $offer): RedirectResponse
    {
        $this->save->sell($offer, OfferRequest::selling($request, $this->clock), WhoLooks::signedIn($request));

        return back();
    }

    /** What it opens: in the draft. A new offer comes with its selling side. */
    public function access(OfferAccessRequest $request, Course $course, EditDraft $edit, OffersPageBuilder $pages): RedirectResponse
    {
        $author = WhoLooks::signedIn($request);
        $offer = Text::of($request, 'offer') === '' ? null : $pages->ofCourse($course, Text::of($request, 'offer'));
        abort_if($request->filled('offer') && $offer === null, 404);

        return $this->tried(fn () => $offer === null
            ? $this->save->make($course, $request->integer('version'), OfferRequest::selling($request, $this->clock), $request->edit(...), $author)
            : $edit($course, $request->integer('version'), $request->edit($offer->key, $offer->name), $author), Say::text('told.offers_controller.in_draft_course_rehearse'));
    }

    public function destroy(DraftRequest $request, Offer $offer): RedirectResponse
    {
        return $this->tried(fn () => $this->save->drop($offer, $request->version(), WhoLooks::signedIn($request)), Say::text('told.offers_controller.taken_out_in_draft'));
    }

    /** What learners would reach in the days of a trial. Nothing is saved. */
    public function trial(TrialRequest $request, Course $course, OffersPageBuilder $pages): JsonResponse
    {
        try {
            return new JsonResponse($pages->trial($course, $request->integer('days'), $request->text('tier'), $request->text('plan')));
        } catch (InvalidPlan $e) {
            throw ValidationException::withMessages(['plan' => Say::text('told.offers_controller.this_message', ['message' => $e->offences[0]->message])]);
        }
    }

    /** @param  \Closure(): mixed  $change */
    private function tried(\Closure $change, string $done): RedirectResponse
    {
        try {
            $change();
        } catch (InvalidPlan $e) {
            throw ValidationException::withMessages(['rule' => Say::text('told.offers_controller.does_not_go_message', ['message' => $e->offences[0]->message])]);
        } catch (DraftCollision|DraftConflict|CannotEdit $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return back()->with(Flash::done($done));
    }
}
