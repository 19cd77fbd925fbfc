<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Drafts\Edits\CannotEdit;
use App\Http\CsvAnswer;
use App\Http\Requests\EditRulesRequest;
use App\Http\Requests\LookRequest;
use App\Http\Text;
use App\Models\Course;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\People\PeopleFinder;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilentKeep\Core\Format\InvalidPlan;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** What the lenses ask about what others see, beside the pages themselves. */
final readonly class SightlinesController
{
    public function __construct(private SightlinesPageBuilder $pages)
    {
    }

    /** The grid over time, so that moving through it asks for nothing more. */
    public function show(LookRequest $request, Course $course): JsonResponse
    {
        return new JsonResponse($this->pages->overTime($course, $request->look(), $request->query('lens') === 'timeline'));
    }

    /** The reasons of a cell, and what would open it. */
    public function why(LookRequest $request, Course $course): JsonResponse
    {
        $item = $request->query('item');
        $card = $this->pages->why($course, $request->look(), is_string($item) ? $item : '');

        return $card === null ? new JsonResponse(['message' => Say::text('told.sightlines_controller.row_or_viewer_not')], 404) : new JsonResponse($card);
    }

    /** What is expected of the course, and what of it is not so. */
    public function expected(LookRequest $request, Course $course): JsonResponse
    {
        return new JsonResponse($this->pages->expected($course, $request->look()));
    }

    /** What a moved opening would mean for a viewer, before it is kept. */
    public function dates(EditRulesRequest $request, Course $course): JsonResponse
    {
        try {
            return new JsonResponse($this->pages->movedDates($course, $request->look(), $request->edit(), $request->items()));
        } catch (CannotEdit|InvalidPlan $e) {
            return new JsonResponse(['message' => $e->getMessage()], 422);
        }
    }

    /** The openings and closings of one viewer. */
    public function calendar(LookRequest $request, Course $course): Response
    {
        $file = $this->pages->calendar($course, $request->look());
        abort_if($file === null, 404);

        return self::file($file, 'text/calendar', "{$course->key}.ics");
    }

    public function csv(LookRequest $request, Course $course): StreamedResponse
    {
        return CsvAnswer::of($this->pages->csv($course, $request->look()), self::named("{$course->key}.sightlines.csv"), form: WhoLooks::signedIn($request)->csv_form);
    }

    private static function file(string $content, string $type, string $name): Response
    {
        return new Response($content, 200, ['Content-Type' => $type.'; charset=utf-8', 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name, self::named($name))]);
    }

    private static function named(string $name): string
    {
        return preg_replace('/[^A-Za-z0-9._-]/', '-', $name) ?? 'file';
    }

    /** People to be pinned as a column. */
    public function people(Request $request, Course $course, PeopleFinder $finder): JsonResponse
    {
        return new JsonResponse($finder->find(Text::of($request, 'q', 100), $course));
    }
}
