<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\WhoLooks;
use App\Http\DoorsMet;
use App\Http\Requests\SignInRequest;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

final class SignInController
{
    public function create(Request $request): Response
    {
        // A page of our own to come back to after signing in, as closed pages link it.
        $back = $request->query('back');
        if (is_string($back) && preg_match('#^/[A-Za-z0-9_~.%-][A-Za-z0-9_~.%/-]*(\?item=[A-Za-z0-9_~.%-]+)?$#D', $back) === 1) {
            $request->session()->put('url.intended', url($back));
        }

        return Inertia::render('SignIn');
    }

    public function store(SignInRequest $request, DoorsMet $doors): RedirectResponse
    {
        $request->signIn();
        $request->session()->regenerate();
        $doors->then($request, 'signed-in');

        return redirect()->intended(route(WhoLooks::signedIn($request)->home()));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
        // In the session that begins now: the page that is shown next forgets the others.
        Inertia::clearHistory();

        return redirect()->route('sign-in');
    }
}
