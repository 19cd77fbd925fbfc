<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Person;

use App\Http\ArchiveAnswer;
use App\Http\Text;
use App\Models\Person;
use App\Pages\People\Past\PastPageBuilder;
use App\Pages\People\Past\StoryFile;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** What was open to somebody, when, and why. */
final readonly class PastController
{
    public function __construct(private PastPageBuilder $pages)
    {
    }

    public function show(Request $request, Person $person): Response
    {
        return Inertia::render('keep/Past', get_object_vars($this->pages->page($person, Text::of($request, 'course'), self::with($request))));
    }

    /** The story as a file to be sent: read, and signed. */
    public function file(Request $request, Person $person, StoryFile $file): BinaryFileResponse
    {
        return ArchiveAnswer::of($file->of($person, Text::of($request, 'course'), self::with($request)) ?? abort(404), "story-{$person->id}.zip");
    }

    public function why(Request $request, Person $person): JsonResponse
    {
        $at = Text::of($request, 'at');
        $why = preg_match('/^\d{0,11}$/D', $at) === 1 ? $this->pages->why($person, Text::of($request, 'course'), Text::of($request, 'item'), $at === '' ? null : (int) $at, self::with($request)) : null;

        return $why === null ? new JsonResponse(['message' => Say::text('past_told.no_such_row')], 404) : new JsonResponse($why);
    }

    private static function with(Request $request): ?int
    {
        $with = Text::of($request, 'with');

        return preg_match('/^\d{1,18}$/D', $with) === 1 ? (int) $with : null;
    }
}
