<?php

declare(strict_types=1);

namespace App\Http\Controllers\Learner;

use App\Access\WhoLooks;
use App\Learning\Contents\MediaAddresses;
use App\Learning\LearnerViews;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Pictures, recordings and files. The address says for whom it was made, and each time it is asked anew whether they still may. */
final readonly class MediaController
{
    public function __construct(private LearnerViews $views, private MediaAddresses $addresses, private WhoLooks $who)
    {
    }

    public function show(Request $request, int $medium): BinaryFileResponse
    {
        $for = $request->query('for');
        abort_if(! is_string($for) || ! hash_equals(MediaAddresses::mark(WhoLooks::bearer($request)), $for), 403);
        // Looked up only now: whether there is one at an address is nobody's business whose it is not.
        $medium = $this->addresses->medium($medium);
        abort_if($medium === null, 404);
        // Whoever writes it sees it before it is published.
        abort_if(! Gate::allows('see-all') && $this->views->at($medium->course, $this->who->at($request, $medium->course))?->isOpen($medium->item_key) !== true, 403);
        abort_if(! Storage::exists($medium->path), 404);

        return (new BinaryFileResponse(Storage::path($medium->path), 200, [
            'Content-Type' => $medium->type,
            'Content-Security-Policy' => "default-src 'none'; sandbox",
            'X-Content-Type-Options' => 'nosniff',
            'Cross-Origin-Resource-Policy' => 'same-origin',
            'Cache-Control' => 'private, max-age=600',
        ], false))->setContentDisposition($medium->kind === 'file' ? 'attachment' : 'inline', $medium->name, $medium->fallbackName());
    }
}
