<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Models\ActRecord;
use App\Models\Person;
use App\Pages\People\ActPageBuilder;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\LeaveAct;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** An act on so many people that it is prepared first: how far that is, what it would do, and doing it. */
final readonly class ActsController
{
    public function show(Request $request, ActRecord $act, ActPageBuilder $desk): Response
    {
        self::allow($request, $act);

        return Inertia::render('keep/Act', get_object_vars($desk->page($act)));
    }

    public function update(Request $request, ActRecord $act, ActOnPeople $actOn): RedirectResponse
    {
        self::allow($request, $act);
        try {
            $actOn->perform($act);
        } catch (CannotAct $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }

        return redirect()->route('keep.act', $act->id);
    }

    /** Lets what was prepared go. */
    public function destroy(Request $request, ActRecord $act, LeaveAct $leave): RedirectResponse
    {
        self::allow($request, $act);
        $leave($act);

        return redirect()->route('keep.people.list');
    }

    /** Whoever asked for it, and whoever runs the school. */
    private static function allow(Request $request, ActRecord $act): void
    {
        Gate::authorize('help-people');
        $person = $request->user();
        assert($person instanceof Person);
        abort_unless($act->actor_id === $person->id || Gate::allows('run-school'), 404);
    }
}
