<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Contents;

use App\Access\WhoLooks;
use App\Front\SaveFace;
use App\Http\Requests\FaceRequest;
use App\Models\Course;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;

/** What a course shows of itself. */
final readonly class FaceController
{
    public function update(FaceRequest $request, Course $course, SaveFace $save): RedirectResponse
    {
        $done = $save($course, $request->course(), $request->face(), $request->integer('version'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text('told.contents_controller.saved_stands_on_public')) : Flash::meanwhile('this'));
    }
}
