<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Models\Purchase;
use App\Offers\Sales\ShopEvents;
use App\Pages\School\OutboxPageBuilder;
use App\Pages\School\ShopPageBuilder;
use App\Pages\Shared\Flash;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;

/** What the stand-ins have sent and sold, and what that for a shop can be made to tell. */
final readonly class OutboxController
{
    public function index(Request $request, OutboxPageBuilder $outbox): Response
    {
        return Inertia::render('keep/Outbox', get_object_vars($outbox->page(max(1, $request->integer('page', 1)))));
    }

    public function shop(Request $request, ShopPageBuilder $shop): Response
    {
        $given = $request->validate(['page' => ['nullable', 'integer', 'between:1,1000000'], 'find' => ['nullable', 'string', 'max:200']]);
        $find = trim((string) ($given['find'] ?? ''));

        return Inertia::render('keep/ShopBook', get_object_vars($shop->page((int) ($given['page'] ?? 1), $find === '' ? null : $find)));
    }

    /** An event, as a shop would send it. */
    public function tell(Request $request, Purchase $purchase, ShopEvents $events): RedirectResponse
    {
        $given = $request->validate([
            'event' => ['required', 'string', 'max:100'],
            'kind' => ['required', Rule::in(['payment', 'missed', 'refund'])],
            'payment' => ['nullable', 'integer', 'between:1,10000'],
        ]);
        $kind = match ($given['kind']) {
            'payment' => 'payment',
            'missed' => 'missed',
            default => 'refund',
        };
        $event = $events->receive($request->string('event')->toString(), $purchase->id, $kind, $request->filled('payment') ? $request->integer('payment') : null);

        return back()->with(Flash::done(ucfirst($event->did).'.'));
    }
}
