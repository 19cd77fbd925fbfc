<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Http\Requests\ActRequest;
use App\Http\Requests\PeopleRequest;
use App\Http\Requests\SaveFilterRequest;
use App\Http\Text;
use App\Models\Person;
use App\Pages\People\ActOutcome;
use App\Pages\People\ActPreview;
use App\Pages\People\PeoplePageBuilder;
use App\Pages\People\PersonPageBuilder;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\PeopleActs;
use App\People\ChosenPeople;
use App\People\PeopleFinder;
use App\People\PeopleQuery;
use App\People\SaveFilter;
use App\People\UndoAct;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

final readonly class PeopleController
{
    /** A spreadsheet program would take a cell that begins so for a formula. */
    private const FORMULA = '/^[=+\-@\t\r]/';

    public function __construct(private PeoplePageBuilder $desk, private PeopleQuery $find)
    {
    }

    public function index(PeopleRequest $request): Response
    {
        return Inertia::render('keep/People', get_object_vars($this->desk->page($request->filter(), $request->page(), $request->asked(), self::reader($request), Gate::allows('run-school'))));
    }

    public function show(Person $person, PersonPageBuilder $desk): Response
    {
        return Inertia::render('keep/Person', get_object_vars($desk->page($person, Gate::allows('run-school'))));
    }

    /** While a name is being typed. */
    public function find(Request $request, PeopleFinder $finder): JsonResponse
    {
        return new JsonResponse($finder->find(Text::of($request, 'q', 100)));
    }

    public function csv(PeopleRequest $request): StreamedResponse
    {
        $filter = $request->filter();

        return new StreamedResponse(function () use ($filter): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('No output.');
            foreach ($this->desk->csv($filter) as $row) {
                assert(is_array($row));
                fputcsv($out, array_map(static fn (mixed $cell): string => is_string($cell) ? preg_replace(self::FORMULA, "'$0", $cell) ?? $cell : '', $row), escape: '', eol: "\r\n");
            }
            fclose($out);
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="people.csv"']);
    }

    /** What an act would do. Nothing is changed. */
    public function preview(ActRequest $request, PeopleActs $acts, ActOnPeople $actOn): JsonResponse
    {
        $act = $this->act($request, $acts);
        $people = $this->meant($request);
        $count = $people->count();
        if ($count > ActOnPeople::AT_ONCE) {
            return new JsonResponse(new ActPreview($act->told(), $count, $act->canBeUndone(), true, []));
        }
        try {
            $outcomes = $actOn->preview($act, $people);
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'do' => $e->getMessage()]);
        }

        return new JsonResponse(new ActPreview($act->told(), $count, $act->canBeUndone(), false, ActOutcome::listOf($outcomes)));
    }

    public function perform(ActRequest $request, PeopleActs $acts, ActOnPeople $actOn): RedirectResponse
    {
        $act = $this->act($request, $acts);
        $people = $this->meant($request);
        if ($people->count() > ActOnPeople::AT_ONCE) {
            return redirect()->route('keep.act', $actOn->prepare($act, $request->form(), $people, self::reader($request), $request->once())->id);
        }
        try {
            [$record, $touched] = $actOn($act, $people, self::reader($request), $request->once(), $request->form());
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'do' => $e->getMessage()]);
        }
        if ($record === null) {
            return back()->with('flash', ['kind' => 'refused', 'text' => 'Nothing was to be done: '.lcfirst($act->told()).' changes nothing for them.', 'lines' => []]);
        }

        return back()->with('flash', ['kind' => 'done', 'text' => $act->told().': done for '.($touched === 1 ? '1 person' : "{$touched} people").'.', 'lines' => [], 'undo' => $record->canBeUndone() ? $record->id : null]);
    }

    public function undo(Request $request, int $act, UndoAct $undo): RedirectResponse
    {
        Gate::authorize('help-people');
        try {
            $undone = $undo($act, self::reader($request), Gate::allows('run-school'));
        } catch (CannotAct $e) {
            return back()->with('flash', ['kind' => 'refused', 'text' => $e->getMessage(), 'lines' => []]);
        }
        if ($undone->state === 'undoing') {
            return redirect()->route('keep.act', $undone->id);
        }

        return back()->with('flash', ['kind' => 'done', 'text' => "Taken back: {$undone->told}.", 'lines' => []]);
    }

    public function saveSegment(SaveFilterRequest $request, SaveFilter $save): RedirectResponse
    {
        $save(self::reader($request), $request->name(), $request->filterQuery());

        return back();
    }

    public function forgetSegment(Request $request, int $segment, SaveFilter $save): RedirectResponse
    {
        $save->forget(self::reader($request), $segment);

        return back();
    }

    private function act(ActRequest $request, PeopleActs $acts): PeopleAct
    {
        try {
            $act = $acts->of($request->form(), self::reader($request));
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

    private static function reader(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }
}
