<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Http\ServedFile;
use App\Learning\Contents\MediaAddresses;
use App\Learning\LearnerViews;
use App\Models\Medium;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Response as Answer;

/** Pictures, recordings and files. The address says for whom it was made, and each time it is asked anew whether they still may. */
final readonly class MediaController
{
    private const HEADERS = [
        'Content-Security-Policy' => "default-src 'none'; sandbox",
        'X-Content-Type-Options' => 'nosniff',
        'Cross-Origin-Resource-Policy' => 'same-origin',
        'Cache-Control' => 'private, max-age=600',
    ];

    public function __construct(private LearnerViews $views, private MediaAddresses $addresses, private WhoLooks $who)
    {
    }

    public function show(Request $request, int $medium): Answer
    {
        $medium = $this->allowed($request, $medium);
        $shown = HeaderUtils::makeDisposition($medium->kind === 'file' ? 'attachment' : 'inline', $medium->name, $medium->fallbackName());

        return ServedFile::answer($request, $medium->path, ['Content-Type' => $medium->type, 'Content-Disposition' => $shown, ...self::HEADERS]);
    }

    /** What stands in the place of a film before it plays. */
    public function poster(Request $request, int $medium): Answer
    {
        $medium = $this->allowed($request, $medium);
        abort_if($medium->poster === null || $medium->poster_type === null, 404);

        return ServedFile::answer($request, $medium->poster, ['Content-Type' => $medium->poster_type, ...self::HEADERS]);
    }

    /** What is said in it. */
    public function captions(Request $request, int $medium): Response
    {
        $medium = $this->allowed($request, $medium);
        abort_if($medium->captions === null, 404);

        return new Response($medium->captions, 200, ['Content-Type' => 'text/vtt; charset=utf-8', ...self::HEADERS]);
    }

    private function allowed(Request $request, int $id): Medium
    {
        $for = $request->query('for');
        abort_if(! is_string($for) || ! hash_equals(MediaAddresses::mark(WhoLooks::bearer($request)), $for), 403);
        // Looked up only now: whether there is one at an address is nobody's business whose it is not.
        $medium = $this->addresses->medium($id);
        abort_if($medium === null, 404);
        // Whoever writes it sees it before it is published.
        abort_if(! Gate::allows('see-all', $medium->course) && $this->views->at($medium->course, $this->who->at($request, $medium->course))?->isOpen($medium->item_key) !== true, 403);

        return $medium;
    }
}
