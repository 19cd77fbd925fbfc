<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\SaveVantagesRequest;
use App\Models\Course;
use App\Sightlines\Vantages\SaveVantages;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Sets of vantages that somebody keeps under a name. */
final readonly class VantageSetsController
{
    public function __construct(private SaveVantages $save)
    {
    }

    public function store(SaveVantagesRequest $request, Course $course): RedirectResponse
    {
        ($this->save)($course, WhoLooks::signedIn($request), $request->name(), $request->vantages());

        return back();
    }

    public function destroy(Request $request, Course $course, int $set): RedirectResponse
    {
        $this->save->forget($course, WhoLooks::signedIn($request), $set);

        return back();
    }
}
