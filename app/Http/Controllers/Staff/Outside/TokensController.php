<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Outside;

use App\Access\SchoolClock;
use App\Access\WhoLooks;
use App\Http\Requests\TokenRequest;
use App\Models\ApiToken;
use App\Pages\Shared\Flash;
use App\Pages\Triggers\TokensPageBuilder;
use App\School\Tokens\MakeToken;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** Tokens with which systems of others may ask. */
final readonly class TokensController
{
    public function __construct(private MakeToken $make)
    {
    }

    public function index(Request $request, TokensPageBuilder $pages): Response
    {
        $open = $request->query('open');
        $secret = $request->session()->get('secret');

        return Inertia::render('keep/Tokens', get_object_vars($pages->page(is_numeric($open) ? (int) $open : null, is_string($secret) ? $secret : null)));
    }

    public function store(TokenRequest $request, SchoolClock $clock): RedirectResponse
    {
        [$token, $secret] = ($this->make)(WhoLooks::signedIn($request), $request->string('name')->trim()->toString(), $request->abilities(), $request->until($clock));

        return redirect()->route('keep.tokens', ['open' => $token->id])->with(['secret' => $secret, ...Flash::done(Say::text('told.tokens_controller.made', ['name' => $token->name]))]);
    }

    public function destroy(Request $request, ApiToken $token): RedirectResponse
    {
        $this->make->takeBack($token, WhoLooks::signedIn($request));

        return redirect()->route('keep.tokens')->with(Flash::done(Say::text('told.tokens_controller.taken_back', ['name' => $token->name])));
    }
}
