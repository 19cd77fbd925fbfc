<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Http\DoorsMet;
use App\Http\Throttles;
use App\Models\Course;
use App\Models\Person;
use App\Offers\Sales\Buy;
use App\Offers\Sales\Shop;
use App\Offers\Sales\Ware;
use App\Pages\Learner\CheckoutPageBuilder;
use App\Pages\Shared\Flash;
use App\People\Accounts\OpenAccount;
use App\People\Acts\CannotAct;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Inertia\Inertia;
use Inertia\Response;

/** The stand-in for a shop: a checkout that takes no money and says so, and hands out the pass. */
final readonly class CheckoutController
{
    public function __construct(private Shop $shop)
    {
    }

    public function show(Request $request, string $offer, CheckoutPageBuilder $pages): Response
    {
        return $this->page($request, $this->offer($offer), $pages);
    }

    public function showBundle(Request $request, string $bundle, CheckoutPageBuilder $pages): Response
    {
        return $this->page($request, $this->bundle($bundle), $pages);
    }

    private function page(Request $request, Ware $ware, CheckoutPageBuilder $pages): Response
    {
        $item = $request->query('item');

        return Inertia::render('learner/Checkout', get_object_vars($pages->page($ware, is_string($item) ? $item : null, WhoLooks::person($request))));
    }

    public function store(Request $request, string $offer, Buy $buy): RedirectResponse
    {
        return $this->buy($request, $this->offer($offer), $buy);
    }

    public function storeBundle(Request $request, string $bundle, Buy $buy): RedirectResponse
    {
        return $this->buy($request, $this->bundle($bundle), $buy);
    }

    private function buy(Request $request, Ware $ware, Buy $buy): RedirectResponse
    {
        $course = $ware->offers[0]->course;
        $given = $request->validate(['item' => ['nullable', 'string', 'max:190'], 'once' => ['nullable', 'string', 'max:60'], 'shown' => ['nullable', 'string', 'max:500']]);
        $text = static fn (string $key): ?string => is_string($given[$key] ?? null) ? $given[$key] : null;
        $known = WhoLooks::person($request);
        try {
            $person = $buy($ware, $known ?? $this->typed($request), $text('once'), $text('shown'));
        } catch (CannotAct $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }
        if ($known === null) {
            self::letIn($request, $person);
        }
        app(DoorsMet::class)->then($request, 'taken');
        // Back to where they came from, where there is such a place.
        $item = is_string($given['item'] ?? null) && $this->shop->knows($course, $given['item']) ? $given['item'] : '';
        $text = $person->isConfirmed() ? Say::text('learner.shop.bought', ['offer' => $ware->name]) : Say::text('learner.shop.bought_here', ['offer' => $ware->name, 'address' => $person->address()]);

        return ($item === '' ? redirect()->route('course', $course) : redirect()->route('lesson', [$course, $item]))
            ->with(Flash::done($text));
    }

    /** For a sample that asks for an account first: a name and an address. */
    public function look(Request $request, Course $course, string $item, OpenAccount $open): RedirectResponse
    {
        if (WhoLooks::person($request) === null) {
            $typed = $this->typed($request);
            self::letIn($request, $open($typed['name'], $typed['email'], static fn (): string => Say::text('letters.address.to_look')));
        }

        return redirect()->route('lesson', [$course, $item]);
    }

    /** @return array{name: string, email: string} by a visitor */
    private function typed(Request $request): array
    {
        $given = $request->validate(
            ['name' => ['required', 'string', 'max:200'], 'email' => ['required', 'string', 'email', 'max:190']],
            ['name.required' => Say::text('learner.asked.name'), 'email.required' => Say::text('learner.asked.email'), 'email.email' => Say::text('learner.asked.no_email')],
        );
        $email = is_string($given['email']) ? $given['email'] : '';
        Throttles::letterTo($email, $request);

        return ['name' => is_string($given['name']) ? $given['name'] : '', 'email' => $email];
    }

    private static function letIn(Request $request, Person $person): void
    {
        // Before they are signed in, which ends the session that is theirs then: so the visitor's stays, in which a second
        // click comes, and is answered like the first.
        $request->session()->regenerate();
        Auth::login($person);
    }

    private function offer(string $key): Ware
    {
        return Ware::offer($this->shop->find($key) ?? abort(404));
    }

    private function bundle(string $key): Ware
    {
        return Ware::bundle($this->shop->findBundle($key) ?? abort(404));
    }
}
