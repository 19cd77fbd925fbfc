<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Contents;

use App\Access\WhoLooks;
use App\Http\Requests\ContentRequest;
use App\Http\Text;
use App\Learning\Contents\WriteContent;
use App\Models\Course;
use App\Pages\Contents\ContentsPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\SafeText;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What the lessons and boards of a course hold. */
final readonly class ContentsController
{
    public function __construct(private ContentsPageBuilder $pages, private WriteContent $write)
    {
    }

    public function show(Request $request, Course $course, ?string $item = null): Response
    {
        $page = $this->pages->page($course, $item, WhoLooks::bearer($request), Gate::allows('edit-rules'));
        abort_if($page === null, 404);

        return Inertia::render('keep/Contents', get_object_vars($page));
    }

    public function preview(Request $request): JsonResponse
    {
        $request->validate(['text' => ['nullable', 'string', 'max:200000']]);

        return new JsonResponse(['html' => SafeText::html(Text::of($request, 'text'))]);
    }

    public function update(ContentRequest $request, Course $course, string $item): RedirectResponse
    {
        abort_if(! $this->pages->has($course, $item), 404);
        $author = WhoLooks::signedIn($request);
        $later = $request->boolean('later');
        $done = $later ? $this->write->draft($course, $item, $request->written(), $request->integer('drafted'), $author) : ($this->write)($course, $item, $request->written(), $request->integer('version'), $author);

        return back()->with($done ? Flash::done(Say::text($later ? 'told.contents_controller.drafted' : 'told.contents_controller.saved_whoever_open_reads')) : Flash::meanwhile('this'));
    }

    /** Throws away what was to go live with the draft. */
    public function destroy(Request $request, Course $course, string $item): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $done = $this->write->leave($course, $item, $request->integer('drafted'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text('told.contents_controller.left')) : Flash::meanwhile('this'));
    }

    /** What it held before is written anew; what it holds now is kept beside the others. */
    public function bringBack(Request $request, Course $course, string $item, int $earlier): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $written = $this->pages->earlier($course, $item, $earlier);
        abort_if($written === null, 404);
        $done = ($this->write)($course, $item, $written, $request->integer('version'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text('told.contents_controller.brought_back')) : Flash::meanwhile('this'));
    }
}
