<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Drafts\Edits\CannotEdit;
use App\Http\Requests\EditRulesRequest;
use App\Http\Requests\ExpectationRequest;
use App\Http\Requests\LookRequest;
use App\Http\Requests\SaveVantagesRequest;
use App\Http\Text;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\People\PeopleFinder;
use App\Sightlines\Expectations\KeepExpectation;
use App\Sightlines\Vantages\SaveVantages;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use SilentKeep\Core\Format\InvalidPlan;
use Symfony\Component\HttpFoundation\HeaderUtils;

/** What the lenses ask about what others see, beside the pages themselves. */
final readonly class SightsController
{
    public function __construct(private SightlinesPageBuilder $desk)
    {
    }

    /** The grid over time, so that moving through it asks for nothing more. */
    public function overTime(LookRequest $request, Course $course): JsonResponse
    {
        return new JsonResponse($this->desk->overTime($course, $request->look(), $request->query('lens') === 'timeline'));
    }

    /** The reasons of a cell, and what would open it. */
    public function why(LookRequest $request, Course $course): JsonResponse
    {
        $item = $request->query('item');
        $card = $this->desk->why($course, $request->look(), is_string($item) ? $item : '');

        return $card === null ? new JsonResponse(['message' => 'The row or the viewer is not there any more.'], 404) : new JsonResponse($card);
    }

    /** What a moved opening would mean for a viewer, before it is kept. */
    public function dates(EditRulesRequest $request, Course $course): JsonResponse
    {
        try {
            return new JsonResponse($this->desk->movedDates($course, $request->look(), $request->edit(), $request->items()));
        } catch (CannotEdit|InvalidPlan $e) {
            return new JsonResponse(['message' => $e->getMessage()], 422);
        }
    }

    public function expect(ExpectationRequest $request, Course $course, KeepExpectation $keep): RedirectResponse
    {
        $keep($course, $request->string('vantage')->toString(), $request->string('item')->toString(), $request->string('must')->toString(), self::reader($request));

        return back();
    }

    public function letGo(Request $request, Course $course, int $expectation, KeepExpectation $keep): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $keep->letGo($course, $expectation, self::reader($request));

        return back();
    }

    /** The openings and closings of one viewer. */
    public function calendar(LookRequest $request, Course $course): Response
    {
        $file = $this->desk->calendar($course, $request->look());
        abort_if($file === null, 404);

        return self::file($file, 'text/calendar', "{$course->key}.ics");
    }

    public function csv(LookRequest $request, Course $course): Response
    {
        return self::file($this->desk->csv($course, $request->look()), 'text/csv', "{$course->key}.sightlines.csv");
    }

    private static function file(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => "{$type}; charset=utf-8", 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name, preg_replace('/[^A-Za-z0-9._-]/', '-', $name) ?? 'file')]);
    }

    /** People to be pinned as a column. */
    public function people(Request $request, Course $course, PeopleFinder $finder): JsonResponse
    {
        return new JsonResponse($finder->find(Text::of($request, 'q', 100)));
    }

    public function save(SaveVantagesRequest $request, Course $course, SaveVantages $save): RedirectResponse
    {
        $save($course, self::reader($request), $request->name(), $request->vantages());

        return back();
    }

    public function forget(Request $request, Course $course, int $set, SaveVantages $save): RedirectResponse
    {
        $save->forget($course, self::reader($request), $set);

        return back();
    }

    private static function reader(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }
}
