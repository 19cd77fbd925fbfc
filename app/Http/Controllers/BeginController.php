<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BeginRequest;
use App\Http\Text;
use App\Pages\Shared\BeginPage;
use App\School\BeginSchool;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

/** The first page of a school that is empty. */
final readonly class BeginController
{
    public function __construct(private BeginSchool $begin)
    {
    }

    public function show(Request $request): Response
    {
        $code = Text::of($request, 'code', 100);
        abort_unless($this->begin->opens($code), 404);

        return Inertia::render('Begin', get_object_vars(new BeginPage($code, \DateTimeZone::listIdentifiers())));
    }

    public function store(BeginRequest $request): RedirectResponse
    {
        $person = ($this->begin)($request->said());
        abort_if($person === null, 404);
        Auth::login($person);
        $request->session()->regenerate();

        return redirect()->route('keep.courses');
    }
}
