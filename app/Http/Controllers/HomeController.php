<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class HomeController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $person = $request->user();

        return match (true) {
            ! $person instanceof Person => redirect()->route('sign-in'),
            $person->isStaff() => redirect()->route('keep.courses'),
            default => redirect()->route('courses'),
        };
    }
}
