<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Contents;

use App\Access\WhoLooks;
use App\Http\Requests\DescribeMediumRequest;
use App\Http\Requests\MediumRequest;
use App\Learning\Contents\DescribeMedium;
use App\Learning\Contents\KeepMedium;
use App\Models\Course;
use App\Pages\Contents\ContentsPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;

/** Pictures, recordings and files of a lesson or board. */
final readonly class ContentMediaController
{
    public function __construct(private ContentsPageBuilder $pages, private KeepMedium $media)
    {
    }

    public function store(MediumRequest $request, Course $course, string $item): RedirectResponse
    {
        abort_if(! $this->pages->has($course, $item), 404);
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        $medium = ($this->media)($course, $item, $file, $file->getClientOriginalName(), $request->string('title')->trim()->toString(), $request->filled('seconds') ? $request->float('seconds') : null, WhoLooks::signedIn($request));

        return back()->with(Flash::done($medium->kind === 'file' ? Say::text('told.content_media_controller.title_there_as_file', ['title' => $medium->title]) : Say::text('told.content_media_controller.title_is_there', ['title' => $medium->title])));
    }

    public function update(Request $request, Course $course, string $item, int $medium): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $this->media->move($course, $item, $medium, $request->boolean('up') ? -1 : 1);

        return back();
    }

    public function describe(DescribeMediumRequest $request, Course $course, string $item, int $medium, DescribeMedium $describe): RedirectResponse
    {
        $done = $describe($course, $item, $medium, $request->string('title')->trim()->toString(), $request->captions(), $request->language()->value, $request->poster(), WhoLooks::signedIn($request));
        abort_if(! $done, 404);

        return back()->with(Flash::done(Say::text('told.content_media_controller.described')));
    }

    public function without(Request $request, Course $course, string $item, int $medium, string $what, DescribeMedium $describe): RedirectResponse
    {
        Gate::authorize('edit-rules');
        $describe->without($course, $item, $medium, $what, WhoLooks::signedIn($request));

        return back()->with(Flash::done(Say::text('told.content_media_controller.it_is_taken_out')));
    }

    public function destroy(Request $request, Course $course, string $item, int $medium): RedirectResponse
    {
        Gate::authorize('edit-rules');
        abort_if(! $this->media->takeOut($course, $item, $medium, WhoLooks::signedIn($request)), 404);

        return back()->with(Flash::done(Say::text('told.content_media_controller.it_is_taken_out')));
    }
}
