<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Contents;

use App\Access\WhoLooks;
use App\School\Pictures\KeepPicture;
use App\School\Pictures\NoPicture;
use App\School\Pictures\Pictures;
use App\School\Pictures\ShownPicture;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** Pictures to be put on public pages. */
final readonly class PicturesController
{
    /** Kilobytes of a file. */
    private const LARGEST = 20 * 1024;

    public function index(Pictures $pictures): JsonResponse
    {
        return new JsonResponse($pictures->latest());
    }

    public function store(Request $request, KeepPicture $keep): JsonResponse
    {
        Gate::authorize('edit-some');
        $request->validate(
            ['file' => ['required', 'file', 'max:'.self::LARGEST], 'title' => ['required', 'string', 'max:200']],
            ['file.required' => Say::text('refused.picture.please_choose'), 'file.uploaded' => Say::text('refused.medium_request.file_did_not_arrive'), 'file.max' => Say::text('refused.picture.at_most_20_megabytes'), 'title.required' => Say::text('refused.picture.please_say_what')],
        );
        $file = $request->file('file');
        assert($file instanceof UploadedFile);
        try {
            return new JsonResponse(ShownPicture::of($keep((string) $file->getRealPath(), $request->string('title')->trim()->toString(), WhoLooks::signedIn($request))), 201);
        } catch (NoPicture $e) {
            throw ValidationException::withMessages(['file' => $e->getMessage()]);
        }
    }
}
