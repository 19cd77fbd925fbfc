<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Http\Requests\NextRunRequest;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Models\NextRun;
use App\Notices\NextRuns\AskForNextRun;
use App\Pages\Learner\Closed\ClosingWordsBuilder;
use App\Pages\Learner\StopPage;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Inertia\Inertia;
use Inertia\Response;

/** Asking to be told when a course that is over runs again, and not wanting to be. */
final readonly class NextRunController
{
    public function __construct(private LearnerViews $views, private WhoLooks $who, private AskForNextRun $ask)
    {
    }

    public function store(NextRunRequest $request, Course $course): RedirectResponse
    {
        $view = $this->views->at($course, $this->who->at($request, $course));
        abort_if($view === null || ! $view->isVisible() || ClosingWordsBuilder::signUp($course, $view->answer) === 'none', 404);
        $person = WhoLooks::person($request);
        [$name, $email] = $person === null ? $request->said() : [$person->name, $person->address()];
        ($this->ask)($course, $name, $email, $person);

        return back()->with(Flash::done(Say::text('learner.next_run.noted', ['email' => $email, 'course' => $view->title()])));
    }

    /** What programs fetch for somebody changes nothing: it is stopped by the button there. */
    public function show(string $token): Response
    {
        $asked = $this->asked($token);

        return Inertia::render('learner/Stop', get_object_vars(new StopPage($this->views->titleOf($asked->course), $asked->email)));
    }

    public function destroy(string $token): RedirectResponse
    {
        $asked = $this->asked($token);
        $asked->delete();

        return redirect()->route('home')->with(Flash::done(Say::text('learner.next_run.stopped', ['email' => $asked->email, 'course' => $this->views->titleOf($asked->course)])));
    }

    private function asked(string $token): NextRun
    {
        return NextRun::query()->with('course.liveRevision')->where('token', $token)->first() ?? abort(404);
    }
}
