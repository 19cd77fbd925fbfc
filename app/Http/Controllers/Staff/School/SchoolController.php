<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\School;

use App\Access\SchoolOf;
use App\Access\WhoLooks;
use App\Http\Requests\SchoolFrontRequest;
use App\Http\Requests\SchoolRequest;
use App\Pages\School\SchoolFront;
use App\Pages\School\SchoolPage;
use App\Pages\Shared\Flash;
use App\School\SaveSchool;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

final readonly class SchoolController
{
    public function __construct(private SchoolOf $school)
    {
    }

    public function show(): Response
    {
        $school = ($this->school)();

        return Inertia::render('keep/School', get_object_vars(new SchoolPage($school->name, $school->zone, $school->currency, $school->language->value, $school->guests, $school->contact_name, $school->contact_email, $school->sender_name, $school->sender_email, $school->reply_email, config()->string('mail.from.address'), $school->warn_days, $school->grace_days, $school->missed_days, (int) round(100 * $school->sample_share), implode("\n", $school->holidays), new SchoolFront($school->front_title, $school->front_text, $school->front_picture, $school->front_focus_x, $school->front_focus_y), Gate::allows('run-school'))));
    }

    public function updateFront(SchoolFrontRequest $request, SaveSchool $save): RedirectResponse
    {
        $save(($this->school)(), $request->columns(), WhoLooks::signedIn($request));

        return back()->with(Flash::done('Saved.'));
    }

    public function update(SchoolRequest $request, SaveSchool $save): RedirectResponse
    {
        $author = WhoLooks::signedIn($request);
        $save(($this->school)(), $request->columns(), $author);

        return back()->with(Flash::done('Saved.'));
    }
}
