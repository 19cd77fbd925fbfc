<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Contents;

use App\Access\WhoLooks;
use App\Http\Requests\RelatedRequest;
use App\Http\Text;
use App\Models\Course;
use App\Offers\Related\SaveRelated;
use App\Pages\Contents\ContentsPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Another course, put before the readers of a course or lesson. */
final readonly class RelatedController
{
    public function __construct(private SaveRelated $save, private ContentsPageBuilder $pages)
    {
    }

    public function update(RelatedRequest $request, Course $course): RedirectResponse
    {
        return $this->set($request, $course, $request->offer());
    }

    public function destroy(Request $request, Course $course): RedirectResponse
    {
        Gate::authorize('edit-rules');

        return $this->set($request, $course, null);
    }

    /** @param  ?array{other_id: int, heading: string, text: string, button: string, picture: ?string}  $offer */
    private function set(Request $request, Course $course, ?array $offer): RedirectResponse
    {
        $item = Text::of($request, 'item', 200);
        abort_if($item !== '' && ! $this->pages->has($course, $item), 404);
        $done = ($this->save)($course, $item, $offer, $request->integer('version'), WhoLooks::signedIn($request));

        return back()->with($done ? Flash::done(Say::text($offer === null ? 'told.related_controller.taken_away' : 'told.related_controller.saved')) : Flash::meanwhile(Say::text('told.related_controller.this_offer')));
    }
}
