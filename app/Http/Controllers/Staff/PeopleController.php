<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\Shelf\CourseShelf;
use App\Access\WhoLooks;
use App\Http\Requests\NewPersonRequest;
use App\Http\Requests\PeopleRequest;
use App\Http\Text;
use App\Models\Course;
use App\Models\Person;
use App\Pages\People\PeoplePageBuilder;
use App\Pages\People\PersonPageBuilder;
use App\Pages\Shared\Flash;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleActs;
use App\People\MakePerson;
use App\People\PeopleFinder;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

final readonly class PeopleController
{
    public function __construct(private PeoplePageBuilder $pages)
    {
    }

    public function index(PeopleRequest $request): Response
    {
        return Inertia::render('keep/People', get_object_vars($this->pages->page($request->filter(), $request->page(), $request->asked(), WhoLooks::signedIn($request), Gate::allows('run-school'))));
    }

    public function show(Person $person, PersonPageBuilder $pages): Response
    {
        return Inertia::render('keep/Person', get_object_vars($pages->page($person, Gate::allows('run-school'))));
    }

    /** One by hand. */
    public function store(NewPersonRequest $request, MakePerson $make, PeopleActs $acts): RedirectResponse
    {
        $author = WhoLooks::signedIn($request);
        try {
            $gives = $request->filled('offer') ? $acts->of(['do' => 'give', 'offer' => $request->input('offer'), 'from' => $request->input('from')], $author) : null;
            $person = $make($request->string('name')->trim()->toString(), $request->string('email')->toString(), $request->labels(), $gives, $author);
        } catch (CannotAct $e) {
            throw ValidationException::withMessages([$e->field ?? 'offer' => $e->getMessage()]);
        }

        return redirect()->route('keep.person', $person)->with(Flash::done(Say::text('told.people_controller.name_in_and_was', ['name' => $person->name])));
    }

    /** While a name is being typed. */
    public function find(Request $request, PeopleFinder $finder): JsonResponse
    {
        return new JsonResponse($finder->find(Text::of($request, 'q', 100)));
    }

    /** The rows of a course, when something of it is to be handed out. */
    /** Of what is published, or of the draft if there is one and it is asked for. */
    public function rows(Request $request, Course $course, CourseShelf $shelf): JsonResponse
    {
        $draft = Text::of($request, 'of') === 'draft' ? $course->draft : null;

        return new JsonResponse($draft === null ? $shelf->rows($course->id) : $shelf->rowsOfDraft($draft));
    }
}
