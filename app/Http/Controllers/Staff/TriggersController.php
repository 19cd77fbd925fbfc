<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\TriggerRequest;
use App\Models\Person;
use App\Models\Trigger;
use App\Models\TriggerRun;
use App\Pages\Shared\Flash;
use App\Pages\Triggers\TriggersPageBuilder;
use App\People\Acts\CannotAct;
use App\Triggers\Runs\PerformRun;
use App\Triggers\Runs\PerformRuns;
use App\Triggers\Runs\TakeRunBack;
use App\Triggers\SaveTrigger;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What is done by itself when something comes about, and each time that it was. */
final readonly class TriggersController
{
    public function __construct(private TriggersPageBuilder $pages, private SaveTrigger $save)
    {
    }

    public function index(Request $request): Response
    {
        $open = $request->query('open');

        return Inertia::render('keep/Triggers', get_object_vars($this->pages->page(is_numeric($open) ? Trigger::query()->find((int) $open) : null, Gate::allows('run-school'))));
    }

    /** What it would do, as it is typed, without doing it. */
    public function try(TriggerRequest $request): JsonResponse
    {
        $person = $request->filled('person') ? Person::query()->find($request->integer('person')) : null;

        return new JsonResponse($this->pages->tried($request->spec(), $request->string('name')->toString(), $person));
    }

    public function store(TriggerRequest $request): RedirectResponse
    {
        $trigger = $this->save->make($request->string('name')->trim()->toString(), $request->spec(), WhoLooks::signedIn($request));

        return redirect()->route('keep.triggers', ['open' => $trigger->id])->with(Flash::done(Say::text('told.triggers_controller.made')));
    }

    public function update(TriggerRequest $request, Trigger $trigger): RedirectResponse
    {
        return self::told($this->save->change($trigger, $request->string('name')->trim()->toString(), $request->spec(), $request->integer('version'), WhoLooks::signedIn($request)), Say::text('told.triggers_controller.changed'));
    }

    public function switch(Request $request, Trigger $trigger): RedirectResponse
    {
        Gate::authorize('run-school');
        $on = $request->boolean('on');

        return self::told($this->save->switch($trigger, $on, $request->integer('version'), WhoLooks::signedIn($request)), Say::text($on ? 'told.triggers_controller.on' : 'told.triggers_controller.off'));
    }

    public function destroy(Request $request, Trigger $trigger): RedirectResponse
    {
        Gate::authorize('run-school');
        $this->save->letGo($trigger, WhoLooks::signedIn($request));

        return redirect()->route('keep.triggers')->with(Flash::done(Say::text('told.triggers_controller.let_go', ['name' => $trigger->name])));
    }

    /** Tries a run again that was given up or stopped. */
    public function again(TriggerRun $run, PerformRun $perform): RedirectResponse
    {
        Gate::authorize('run-school');
        $again = $perform->takeUpAgain($run);
        if ($again) {
            PerformRuns::dispatch();
        }

        return self::told($again, Say::text('told.triggers_controller.again'));
    }

    public function takeBack(Request $request, TriggerRun $run, TakeRunBack $takeBack): RedirectResponse
    {
        Gate::authorize('run-school');
        try {
            $takeBack($run, WhoLooks::signedIn($request));
        } catch (CannotAct $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }

        return back()->with(Flash::done(Say::text('told.triggers_controller.taken_back')));
    }

    private static function told(bool $done, string $words): RedirectResponse
    {
        return back()->with($done ? Flash::done($words) : Flash::meanwhile(Say::text('told.triggers_controller.this_trigger')));
    }
}
