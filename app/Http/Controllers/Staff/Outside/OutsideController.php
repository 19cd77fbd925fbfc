<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Outside;

use App\Access\WhoLooks;
use App\Http\Requests\OutsideRequest;
use App\Models\OutsideEvent;
use App\Models\OutsideSystem;
use App\Pages\Shared\Flash;
use App\Pages\Triggers\OutsidePageBuilder;
use App\Triggers\Outside\DeliverEvent;
use App\Triggers\Outside\DeliverEvents;
use App\Triggers\Outside\SaveOutside;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** Systems of others, and what they are told. */
final readonly class OutsideController
{
    public function __construct(private OutsidePageBuilder $pages, private SaveOutside $save)
    {
    }

    public function index(Request $request): Response
    {
        $open = $request->query('open');
        $secret = $request->session()->get('secret');

        return Inertia::render('keep/Outside', get_object_vars($this->pages->page(is_numeric($open) ? OutsideSystem::query()->find((int) $open) : null, is_string($secret) ? $secret : null)));
    }

    public function store(OutsideRequest $request): RedirectResponse
    {
        [$system, $secret] = $this->save->make($request->string('name')->trim()->toString(), $request->string('address')->trim()->toString(), $request->boolean('on'), WhoLooks::signedIn($request));

        return redirect()->route('keep.outside', ['open' => $system->id])->with(['secret' => $secret, ...Flash::done(Say::text('told.outside_controller.made', ['name' => $system->name]))]);
    }

    public function update(OutsideRequest $request, OutsideSystem $system): RedirectResponse
    {
        $done = $this->save->change($system, $request->string('name')->trim()->toString(), $request->string('address')->trim()->toString(), $request->boolean('on'), $request->integer('version'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text('told.outside_controller.changed')) : Flash::meanwhile(Say::text('told.outside_controller.this_system')));
    }

    public function secret(Request $request, OutsideSystem $system): RedirectResponse
    {
        return redirect()->route('keep.outside', ['open' => $system->id])->with(['secret' => $this->save->newSecret($system, WhoLooks::signedIn($request)), ...Flash::done(Say::text('told.outside_controller.secret'))]);
    }

    /** Tells an event again. */
    public function again(OutsideEvent $event, DeliverEvent $deliver): RedirectResponse
    {
        if (! $deliver->again($event)) {
            return back()->with(Flash::meanwhile(Say::text('told.outside_controller.waits')));
        }
        DeliverEvents::dispatch();

        return back()->with(Flash::done(Say::text('told.outside_controller.again')));
    }
}
