<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Doors;

use App\Access\WhoLooks;
use App\Http\Requests\SharedNoticeRequest;
use App\Models\SharedNotice;
use App\Notices\Shared\WriteShared;
use App\Pages\Notices\SharedNoticesBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** Notices that many doors share. */
final readonly class SharedNoticesController
{
    public function __construct(private SharedNoticesBuilder $pages, private WriteShared $write)
    {
    }

    public function index(): Response
    {
        return Inertia::render('keep/SharedNotices', get_object_vars($this->pages->index(Gate::allows('edit-rules'))));
    }

    public function show(SharedNotice $shared): Response
    {
        return Inertia::render('keep/SharedNotice', get_object_vars($this->pages->page($shared, Gate::allows('edit-rules'))));
    }

    /** Words that stand anywhere, to be copied from. */
    public function copies(): JsonResponse
    {
        return new JsonResponse($this->pages->copies());
    }

    public function store(SharedNoticeRequest $request): RedirectResponse
    {
        $notice = $this->write->begin($request->string('name')->trim()->toString(), $request->words(), WhoLooks::signedIn($request));

        return redirect()->route('keep.shared', $notice)->with(Flash::done(Say::text('told.shared_notices_controller.begun')));
    }

    public function update(SharedNoticeRequest $request, SharedNotice $shared): RedirectResponse
    {
        return self::told($this->write->draft($shared, $request->string('name')->trim()->toString(), $request->words(), $request->integer('version'), WhoLooks::signedIn($request)), 'drafted');
    }

    public function publish(Request $request, SharedNotice $shared): RedirectResponse
    {
        Gate::authorize('edit-rules');

        return self::told($this->write->publish($shared, $request->integer('version'), WhoLooks::signedIn($request)), 'published');
    }

    public function throwAway(Request $request, SharedNotice $shared): RedirectResponse
    {
        Gate::authorize('edit-rules');

        return self::told($this->write->throwAway($shared, $request->integer('version'), WhoLooks::signedIn($request)), 'thrown_away');
    }

    public function destroy(Request $request, SharedNotice $shared): RedirectResponse
    {
        Gate::authorize('edit-rules');

        return $this->write->letGo($shared, WhoLooks::signedIn($request))
            ? redirect()->route('keep.shared-notices')->with(Flash::done(Say::text('told.shared_notices_controller.let_go', ['name' => $shared->name])))
            : back()->with(Flash::refused(Say::text('told.shared_notices_controller.stands')));
    }

    /** @param  'drafted'|'published'|'thrown_away'  $as */
    private static function told(bool $done, string $as): RedirectResponse
    {
        return back()->with($done ? Flash::done(match ($as) {
            'drafted' => Say::text('told.shared_notices_controller.drafted'),
            'published' => Say::text('told.shared_notices_controller.published'),
            'thrown_away' => Say::text('told.shared_notices_controller.thrown_away'),
        }) : Flash::meanwhile(Say::text('told.notices_controller.this_notice')));
    }
}
