<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\Plans;
use App\Access\Viewers;
use App\Access\WhoLooks;
use App\Http\ErrorPages;
use App\Http\Text;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Symfony\Component\HttpFoundation\Response;

/** The guest door: a link, with or without a pass phrase, and no account. */
final readonly class GuestController
{
    /** How long a guest comes back without the link. */
    private const DAYS = 30;

    public function __construct(private Viewers $viewers, private Plans $plans)
    {
    }

    public function show(Request $request, string $token): Response
    {
        $course = $this->course($token);
        if ($this->phrase($course) === null) {
            return $this->letIn($course);
        }

        return Inertia::render('learner/GuestDoor', ['token' => $token, 'course' => $this->plans->live($course)->course->title ?? $course->key])->toResponse($request);
    }

    public function store(Request $request, string $token): RedirectResponse
    {
        $course = $this->course($token);
        $phrase = $this->phrase($course);
        if ($phrase !== null && ! hash_equals(mb_strtolower($phrase), mb_strtolower(trim(Text::of($request, 'phrase', 200))))) {
            throw ValidationException::withMessages(['phrase' => Say::text('learner.asked.phrase')]);
        }

        return $this->letIn($course);
    }

    public function destroy(Course $course): RedirectResponse
    {
        return redirect()->route('home')->withCookie(Cookie::forget(WhoLooks::cookie($course)));
    }

    /** A link whose door is shut leads nowhere, like one that never was. */
    private function course(string $token): Course
    {
        $course = $this->viewers->courseOf($token);
        $decider = $course === null ? null : $this->plans->live($course);
        abort_if($course === null || $decider === null || ! $decider->course->guestDoor->open || ! $this->plans->schoolLetsGuestsIn(), 404, ErrorPages::GUEST_LINK);

        return $course;
    }

    private function phrase(Course $course): ?string
    {
        $live = $course->liveRevision;

        return $live === null ? null : CourseDocument::fromJson($live->document)->guestPhrase();
    }

    private function letIn(Course $course): RedirectResponse
    {
        return redirect()->route('course', $course)->withCookie(Cookie::make(WhoLooks::cookie($course), (string) $course->guest_token, self::DAYS * 1440, httpOnly: true, sameSite: 'lax'));
    }
}
