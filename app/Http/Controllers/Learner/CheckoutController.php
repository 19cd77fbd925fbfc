<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Actions\ActOnPeople;
use App\Actions\OpenAccount;
use App\Http\WhoLooks;
use App\Keep\People\CannotAct;
use App\Keep\People\ChosenPeople;
use App\Keep\People\PeopleActs;
use App\Keep\Shop;
use App\Models\Course;
use App\Models\Offer;
use App\Models\Person;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** The stand-in for a shop: a checkout that takes no money and says so, and hands out the pass. */
final readonly class CheckoutController
{
    public function __construct(private Shop $shop)
    {
    }

    public function show(Request $request, string $offer): Response
    {
        $item = $request->query('item');

        return Inertia::render('learner/Checkout', get_object_vars($this->shop->checkout($this->offer($offer), is_string($item) ? $item : null, WhoLooks::person($request))));
    }

    public function buy(Request $request, string $offer, PeopleActs $acts, ActOnPeople $actOn, OpenAccount $open): RedirectResponse
    {
        $offer = $this->offer($offer);
        $person = WhoLooks::person($request) ?? $this->account($request, $open, "by buying {$offer->name}");
        try {
            $actOn($acts->bought($offer), ChosenPeople::named([$person->id]), $person);
        } catch (CannotAct $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }
        $item = $request->string('item')->toString();

        return ($item === '' ? redirect()->route('course', $offer->course) : redirect()->route('lesson', [$offer->course, $item]))
            ->with('flash', ['kind' => 'done', 'text' => "You hold {$offer->name} now.", 'lines' => []]);
    }

    /** For a sample that asks for an account first: a name and an address. */
    public function look(Request $request, Course $course, string $item, OpenAccount $open): RedirectResponse
    {
        if (WhoLooks::person($request) === null) {
            $this->account($request, $open, 'to look at a sample');
        }

        return redirect()->route('lesson', [$course, $item]);
    }

    private function account(Request $request, OpenAccount $open, string $why): Person
    {
        $given = $request->validate(
            ['name' => ['required', 'string', 'max:200'], 'email' => ['required', 'email', 'max:190']],
            ['name.required' => 'Please type your name.', 'email.required' => 'Please type your e-mail address.', 'email.email' => 'This is not an e-mail address.'],
        );
        $person = $open(is_string($given['name']) ? $given['name'] : '', is_string($given['email']) ? $given['email'] : '', $why);
        if ($person === null) {
            throw ValidationException::withMessages(['email' => 'There is an account with this address. Sign in with it, and you will be back here.']);
        }
        Auth::login($person);
        $request->session()->regenerate();

        return $person;
    }

    private function offer(string $key): Offer
    {
        return $this->shop->onSale($key) ?? abort(404);
    }
}
