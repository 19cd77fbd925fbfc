<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\CsvAnswer;
use App\Models\Purchase;
use App\Offers\Sales\ShopEvents;
use App\Pages\School\MailingListPageBuilder;
use App\Pages\School\OutboxPageBuilder;
use App\Pages\School\ShopPageBuilder;
use App\Pages\School\WirePageBuilder;
use App\Pages\Shared\Flash;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the stand-ins have sent and sold, and what that for a shop can be made to tell. */
final readonly class OutboxController
{
    private const PAGE = ['nullable', 'integer', 'between:1,1000000'];

    public function index(Request $request, OutboxPageBuilder $outbox): Response
    {
        $given = $request->validate(['page' => self::PAGE, 'find' => ['nullable', 'string', 'max:200'], 'state' => ['nullable', Rule::in(['waiting', 'sent', 'failed', 'stopped'])]]);

        return Inertia::render('keep/Outbox', get_object_vars($outbox->page((int) ($given['page'] ?? 1), self::said($given, 'find'), self::said($given, 'state'))));
    }

    public function contacts(Request $request, MailingListPageBuilder $list): Response
    {
        $given = $request->validate(['page' => self::PAGE, 'label' => ['nullable', 'string', 'max:60']]);

        return Inertia::render('keep/MailingList', get_object_vars($list->page((int) ($given['page'] ?? 1), self::said($given, 'label'))));
    }

    public function contactsCsv(Request $request, MailingListPageBuilder $list): StreamedResponse
    {
        return CsvAnswer::of($list->csv(self::said($request->validate(['label' => ['nullable', 'string', 'max:60']]), 'label')), 'mailing-list.csv', marked: true, form: WhoLooks::signedIn($request)->csv_form);
    }

    public function wire(Request $request, WirePageBuilder $wire): Response
    {
        $given = $request->validate(['page' => self::PAGE, 'way' => ['nullable', Rule::in(['out', 'in'])], 'system' => ['nullable', 'integer', 'min:1'], 'state' => ['nullable', Rule::in(['waiting', 'taken', 'failed'])]]);

        return Inertia::render('keep/Messages', get_object_vars($wire->page((int) ($given['page'] ?? 1), ($given['way'] ?? '') === 'in', isset($given['system']) ? (int) $given['system'] : null, self::said($given, 'state'))));
    }

    /** @param  array<array-key, mixed>  $given */
    private static function said(array $given, string $name): ?string
    {
        $value = $given[$name] ?? null;

        return is_string($value) && trim($value) !== '' ? trim($value) : null;
    }

    public function shop(Request $request, ShopPageBuilder $shop): Response
    {
        $given = $request->validate(['page' => self::PAGE, 'find' => ['nullable', 'string', 'max:200']]);

        return Inertia::render('keep/ShopBook', get_object_vars($shop->page((int) ($given['page'] ?? 1), self::said($given, 'find'))));
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
