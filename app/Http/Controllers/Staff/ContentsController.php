<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\ContentRequest;
use App\Http\Requests\MediumRequest;
use App\Http\Text;
use App\Learning\Contents\KeepMedium;
use App\Learning\Contents\WriteContent;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Contents\ContentsPageBuilder;
use App\Words\SafeText;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What the lessons and boards of a course hold. */
final readonly class ContentsController
{
    private const MEANWHILE = ['kind' => 'refused', 'text' => 'Somebody else has changed this since you opened it. Nothing was saved; what you typed is still here. Reload the page to see theirs.', 'lines' => []];

    public function __construct(private ContentsPageBuilder $desk, private WriteContent $write, private KeepMedium $media)
    {
    }

    public function show(Request $request, Course $course, ?string $item = null): Response
    {
        $page = $this->desk->page($course, $item, WhoLooks::bearer($request), Gate::allows('edit-rules'));
        abort_if($page === null, 404);

        return Inertia::render('keep/Contents', get_object_vars($page));
    }

    public function preview(Request $request): JsonResponse
    {
        $request->validate(['text' => ['nullable', 'string', 'max:200000']]);

        return new JsonResponse(['html' => SafeText::html(Text::of($request, 'text'))]);
    }

    public function save(ContentRequest $request, Course $course, string $item): RedirectResponse
    {
        abort_if(! $this->desk->has($course, $item), 404);
        $done = ($this->write)($course, $item, $request->string('text')->toString(), $request->quiz(), $request->filled('board') ? $request->string('board')->toString() : null, $request->integer('version'), self::author($request));

        return back()->with('flash', $done ? ['kind' => 'done', 'text' => 'Saved. Whoever it is open to reads it so from now on.', 'lines' => []] : self::MEANWHILE);
    }

    public function about(Request $request, Course $course): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $request->validate(['about' => ['nullable', 'string', 'max:20000'], 'was' => ['nullable', 'string']], ['about.max' => 'That is more than 20,000 characters.']);
        $done = $this->write->about($course, $request->string('about')->toString(), $request->string('was')->toString(), self::author($request));

        return back()->with('flash', $done ? ['kind' => 'done', 'text' => 'Saved. It stands on the public page of the course.', 'lines' => []] : self::MEANWHILE);
    }

    public function keep(MediumRequest $request, Course $course, string $item): RedirectResponse
    {
        abort_if(! $this->desk->has($course, $item), 404);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $medium = ($this->media)($course, $item, $file, $file->getClientOriginalName(), $request->string('title')->trim()->toString(), $request->filled('seconds') ? $request->float('seconds') : null, self::author($request));

        return back()->with('flash', ['kind' => 'done', 'text' => $medium->kind === 'file' ? "{$medium->title} is there, as a file to download." : "{$medium->title} is there.", 'lines' => []]);
    }

    public function move(Request $request, Course $course, string $item, int $medium): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $this->media->move($course, $item, $medium, $request->boolean('up') ? -1 : 1);

        return back();
    }

    public function takeOut(Request $request, Course $course, string $item, int $medium): RedirectResponse
    {
        Gate::authorize('edit-rules');
        abort_if(! $this->media->takeOut($course, $item, $medium, self::author($request)), 404);

        return back()->with('flash', ['kind' => 'done', 'text' => 'It is taken out.', 'lines' => []]);
    }

    private static function author(Request $request): Person
    {
        $author = $request->user();
        assert($author instanceof Person);

        return $author;
    }
}
