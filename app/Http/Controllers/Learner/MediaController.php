<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Learning\Contents\MediaAddresses;
use App\Learning\LearnerViews;
use App\Models\Medium;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

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

    public function show(Request $request, int $medium): BinaryFileResponse
    {
        $medium = $this->allowed($request, $medium);

        return $this->file($medium->path, $medium->type)->setContentDisposition($medium->kind === 'file' ? 'attachment' : 'inline', $medium->name, $medium->fallbackName());
    }

    /** What stands in the place of a film before it plays. */
    public function poster(Request $request, int $medium): BinaryFileResponse
    {
        $medium = $this->allowed($request, $medium);
        abort_if($medium->poster === null || $medium->poster_type === null, 404);

        return $this->file($medium->poster, $medium->poster_type);
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

    private function file(string $path, string $type): BinaryFileResponse
    {
        abort_if(! Storage::exists($path), 404);

        return new BinaryFileResponse(Storage::path($path), 200, ['Content-Type' => $type, ...self::HEADERS], false);
    }
}
