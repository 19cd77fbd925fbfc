<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\ExpectationRequest;
use App\Models\Course;
use App\Sightlines\Expectations\KeepExpectation;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What is expected of cells. */
final readonly class ExpectationsController
{
    public function __construct(private KeepExpectation $keep)
    {
    }

    public function store(ExpectationRequest $request, Course $course): RedirectResponse
    {
        ($this->keep)($course, $request->string('vantage')->toString(), $request->string('item')->toString(), $request->string('must')->toString(), WhoLooks::signedIn($request));

        return back();
    }

    public function destroy(Request $request, Course $course, int $expectation): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $this->keep->letGo($course, $expectation, WhoLooks::signedIn($request));

        return back();
    }
}
