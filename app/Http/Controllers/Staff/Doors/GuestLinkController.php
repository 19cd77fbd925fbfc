<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Doors;

use App\Access\WhoLooks;
use App\Models\Course;
use App\Pages\Shared\Flash;
use App\School\ChangeGuestLink;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** The link by which guests come. */
final readonly class GuestLinkController
{
    /** A new link for guests: the old one dies at once. */
    public function update(Request $request, Course $course, ChangeGuestLink $change): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $change($course, WhoLooks::signedIn($request));

        return back()->with(Flash::done(Say::text('told.guest_link_controller.there_new_guest_link')));
    }
}
