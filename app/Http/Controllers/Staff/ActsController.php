<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\ActRequest;
use App\Models\ActRecord;
use App\Pages\People\ActOutcome;
use App\Pages\People\ActPageBuilder;
use App\Pages\People\ActPreview;
use App\Pages\Shared\Flash;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\PeopleActs;
use App\People\ChosenPeople;
use App\People\LeaveAct;
use App\People\PeopleQuery;
use App\People\UndoAct;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Acts on people: what one would do, doing it, taking it back; on many it is prepared first, and shown. */
final readonly class ActsController
{
    public function __construct(private PeopleQuery $find)
    {
    }

    public function show(Request $request, ActRecord $act, ActPageBuilder $pages): Response
    {
        self::allow($request, $act);

        return Inertia::render('keep/Act', get_object_vars($pages->page($act)));
    }

    public function update(Request $request, ActRecord $act, ActOnPeople $actOn): RedirectResponse
    {
        self::allow($request, $act);
        try {
            $actOn->perform($act);
        } catch (CannotAct $e) {
            return back()->with(Flash::refused($e->getMessage()));
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

    /** What an act would do. Nothing is changed. */
    public function preview(ActRequest $request, PeopleActs $acts, ActOnPeople $actOn): JsonResponse
    {
        $act = $this->act($request, $acts);
        $people = $this->meant($request);
        $count = $people->count();
        if ($count > ActOnPeople::AT_ONCE) {
            return new JsonResponse(new ActPreview($act->told(), $count, $act->canBeUndone(), long: true, outcomes: []));
        }
        try {
            $outcomes = $actOn->preview($act, $people);
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'do' => $e->getMessage()]);
        }

        return new JsonResponse(new ActPreview($act->told(), $count, $act->canBeUndone(), long: false, outcomes: ActOutcome::listOf($outcomes)));
    }

    public function store(ActRequest $request, PeopleActs $acts, ActOnPeople $actOn): RedirectResponse
    {
        $act = $this->act($request, $acts);
        $people = $this->meant($request);
        if ($people->count() > ActOnPeople::AT_ONCE) {
            return redirect()->route('keep.act', $actOn->prepare($act, $request->form(), $people, WhoLooks::signedIn($request), $request->once())->id);
        }
        try {
            [$record, $touched] = $actOn($act, $people, WhoLooks::signedIn($request), $request->once(), $request->form());
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'do' => $e->getMessage()]);
        }
        if ($record === null) {
            return back()->with(Flash::refused(Say::text('told.acts_controller.nothing_was_be_done', ['what' => lcfirst($act->told())])));
        }

        return back()->with(Flash::done(Say::text('told.acts_controller.done_for', ['act' => $act->told(), 'count' => $touched]), undo: $record->canBeUndone() ? $record->id : null));
    }

    public function undo(Request $request, int $act, UndoAct $undo): RedirectResponse
    {
        Gate::authorize('help-people');
        try {
            $undone = $undo($act, WhoLooks::signedIn($request), Gate::allows('run-school'));
        } catch (CannotAct $e) {
            return back()->with(Flash::refused($e->getMessage()));
        }
        if ($undone->state === 'undoing') {
            return redirect()->route('keep.act', $undone->id);
        }

        return back()->with(Flash::done(Say::text('told.acts_controller.taken_back_told', ['told' => $undone->told])));
    }

    private function act(ActRequest $request, PeopleActs $acts): PeopleAct
    {
        try {
            $act = $acts->of($request->form(), WhoLooks::signedIn($request));
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'do' => $e->getMessage()]);
        }
        Gate::authorize($act->isHelp() ? 'help-people' : 'run-school');

        return $act;
    }

    private function meant(ActRequest $request): ChosenPeople
    {
        $people = $request->people();

        return $people === null ? ChosenPeople::filtered($this->find, $request->filter()) : ChosenPeople::named($people);
    }

    /** Whoever asked for it, and whoever runs the school. */
    private static function allow(Request $request, ActRecord $act): void
    {
        Gate::authorize('help-people');
        $person = WhoLooks::signedIn($request);
        abort_unless($act->actor_id === $person->id || Gate::allows('run-school'), 404);
    }
}
