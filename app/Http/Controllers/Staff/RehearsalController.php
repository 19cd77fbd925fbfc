<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\SchoolClock;
use App\Access\WhoLooks;
use App\Http\Requests\RehearsalRequest;
use App\Http\Text;
use App\Models\Course;
use App\Pages\Rehearsal\RehearsalPageBuilder;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What publishing, or going back, would do to the people. */
final readonly class RehearsalController
{
    public function __construct(private RehearsalPageBuilder $pages, private SchoolClock $clock)
    {
    }

    public function show(RehearsalRequest $request, Course $course): Response|RedirectResponse
    {
        $person = WhoLooks::signedIn($request);
        $page = $this->pages->page($course, $request->back(), $request->setFor($this->clock), $request->anew(), $person, Gate::allows('edit-rules'));

        return $page === null ? redirect()->route('keep.course', $course) : Inertia::render('keep/Rehearsal', get_object_vars($page));
    }

    /** Whom it touches in one way, all of them. */
    public function people(RehearsalRequest $request, Course $course): JsonResponse
    {
        $touched = $this->pages->touched($course, $request->back(), $request->setFor($this->clock), Text::of($request, 'effect', 20), Text::of($request, 'item', 100) ?: null, $request->boolean('observers'));

        return $touched === null ? new JsonResponse(['message' => Say::text('told.rehearsal_controller.there_nothing_rehearse_any')], 410) : new JsonResponse($touched);
    }

    /** Begins a long rehearsal, or tells how far it has come. */
    public function update(RehearsalRequest $request, Course $course): JsonResponse
    {
        $progress = $this->pages->progress($course, $request->back(), $request->setFor($this->clock));

        return $progress === null ? new JsonResponse(['message' => Say::text('told.rehearsal_controller.there_nothing_rehearse_any')], 410) : new JsonResponse($progress);
    }
}
