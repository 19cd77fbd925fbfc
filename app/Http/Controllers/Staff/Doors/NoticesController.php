<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Doors;

use App\Access\WhoLooks;
use App\Http\Requests\LookRequest;
use App\Http\Requests\NoticeParts;
use App\Http\Requests\NoticePlaces;
use App\Http\Requests\NoticeRequest;
use App\Http\Text;
use App\Models\Course;
use App\Models\NoticeText;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\Parts\Part;
use App\Notices\SaveNotice;
use App\Pages\Notices\NoticeMetBuilder;
use App\Pages\Notices\NoticePreviewBuilder;
use App\Pages\Notices\NoticesPageBuilder;
use App\Pages\Shared\Flash;
use App\Sightlines\Vantages\VantagePoint;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What people meet at closed doors, in the whole school or in one course. */
final readonly class NoticesController
{
    public function __construct(private NoticesPageBuilder $pages, private NoticeMetBuilder $met, private SaveNotice $save)
    {
    }

    public function index(Request $request, ?Course $course = null): Response
    {
        $case = $request->query('case');
        $place = $course === null ? NoticePlace::school() : NoticePlaces::of($request, $course);

        return Inertia::render('keep/Notices', get_object_vars($this->pages->page($place, is_string($case) ? $case : null, Gate::allows('edit-rules'))));
    }

    /** The notice that a vantage meets at a row, for the lens. */
    public function met(LookRequest $request, Course $course): JsonResponse
    {
        $item = $request->query('item');
        $met = $this->met->of($course, $request->look(), is_string($item) ? $item : '', WhoLooks::bearer($request));

        return $met === null ? new JsonResponse(['message' => Say::text('told.notices_controller.no_notice_here')], 404) : new JsonResponse($met);
    }

    public function preview(Request $request, NoticePreviewBuilder $previews, ?Course $course = null): JsonResponse
    {
        $request->validate(['heading' => ['nullable', 'string', 'max:200'], 'text' => ['nullable', 'string', 'max:5000'], 'parts' => ['nullable', 'array', 'max:20']]);
        $place = $course === null ? NoticePlace::school() : NoticePlaces::of($request, $course);
        $case = NoticeCase::tryFrom(Text::of($request, 'case', 50));
        $typed = new NoticeText(['way' => 'show', 'heading' => Text::of($request, 'heading', 300), 'titled' => $request->boolean('titled', true), 'text' => Text::of($request, 'text', 5000), 'parts' => $request->filled('parts') ? Part::toJson(NoticeParts::of($request)) : ($request->has('parts') ? '[]' : null)]);
        $point = VantagePoint::parse(Text::of($request, 'as', 500));
        $example = $previews->example($place, $case, $typed);
        if ($course === null || $case === null || $point === null) {
            return new JsonResponse($example);
        }
        [$met, $told] = $previews->metBy($course, $place, $case, $typed, $point, Text::of($request, 'row', 200) ?: null, WhoLooks::bearer($request));

        return new JsonResponse([...get_object_vars($example), 'met' => $met, 'told' => $told]);
    }

    public function update(NoticeRequest $request, string $case): RedirectResponse
    {
        return $this->set($request, $request->place(), $request->case(), $request->words());
    }

    public function updateFor(NoticeRequest $request, Course $course, string $case): RedirectResponse
    {
        return $this->set($request, $request->place(), $request->case(), $request->words());
    }

    public function destroy(Request $request, string $case): RedirectResponse
    {
        return $this->letGoOf($request, NoticePlace::school(), $case);
    }

    public function destroyFor(Request $request, Course $course, string $case): RedirectResponse
    {
        return $this->letGoOf($request, NoticePlaces::of($request, $course), $case);
    }

    private function letGoOf(Request $request, NoticePlace $place, string $case): RedirectResponse
    {
        Gate::authorize('edit-rules');

        return $this->set($request, $place, NoticeCase::tryFrom($case) ?? abort(404), null);
    }

    /** @param  ?array{way: string, heading: string, text: string, address: ?string, titled?: bool, shared_id?: ?int, parts?: ?string}  $words */
    private function set(Request $request, NoticePlace $place, NoticeCase $case, ?array $words): RedirectResponse
    {
        $author = WhoLooks::signedIn($request);
        $done = ($this->save)($place, $case, $words, $request->integer('version'), $author);

        return back()->with($done
            ? Flash::done(Say::text('told.notices_controller.saved_whoever_meets_door'))
            : Flash::meanwhile(Say::text('told.notices_controller.this_notice')));
    }
}
