<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\DoorsMet;
use App\Http\Throttles;
use App\Pages\Shared\Flash;
use App\People\Accounts\RedeemSignInLink;
use App\People\Accounts\SendLinkTo;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

/** Signing in by a link instead of a password. */
final readonly class SignInLinkController
{
    public function __construct(private RedeemSignInLink $redeem)
    {
    }

    /** Asks before the link is used up: programs that look at letters open links too. */
    public function show(string $token): Response
    {
        return Inertia::render('SignInLink', ['token' => $token, 'name' => $this->redeem->owner($token)?->name]);
    }

    public function redeem(Request $request, string $token, DoorsMet $doors): RedirectResponse
    {
        $person = ($this->redeem)($token);
        if ($person === null) {
            return back();
        }
        Auth::login($person);
        $request->session()->regenerate();
        $doors->then($request, 'signed-in');

        return redirect()->intended(route($person->home()));
    }

    /** The answer is the same whether there is such a person or not, and takes as long. */
    public function send(Request $request): RedirectResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'email', 'max:190']], ['email.required' => Say::text('learner.asked.email'), 'email.email' => Say::text('learner.asked.no_email')]);
        $email = is_string($given['email']) ? $given['email'] : '';
        Throttles::letterTo($email, $request);
        SendLinkTo::dispatch($email);

        return back()->with(Flash::done(Say::text('learner.account.link_sent')));
    }
}
