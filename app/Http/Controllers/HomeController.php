<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Person;
use App\Pages\Learner\FrontPageBuilder;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

final class HomeController
{
    public function __invoke(Request $request, FrontPageBuilder $lists): RedirectResponse|Response
    {
        $person = $request->user();

        return match (true) {
            ! $person instanceof Person => Inertia::render('learner/Front', get_object_vars($lists->front())),
            $person->isStaff() => redirect()->route('keep.courses'),
            default => redirect()->route('courses'),
        };
    }
}
