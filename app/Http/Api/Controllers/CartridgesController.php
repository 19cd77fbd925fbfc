<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Cartridges\MakeFromCartridge;
use App\Cartridges\NotACartridge;
use App\Http\Api\Document\Operation;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\KeptBody;
use App\Pages\Api\Courses\CoursesBuilder;
use App\Pages\Api\Formats\CartridgeTaken;
use App\Pages\Api\Formats\TextFile;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Courses from files of other systems. */
final readonly class CartridgesController
{
    /** Bytes. */
    private const LARGEST = 536_870_912;

    #[Operation('Makes a course of a Common Cartridge', answers: CartridgeTaken::class, status: 201, takes: TextFile::class, takesType: 'application/zip', says: 'As a draft: its outline, web links and files. Nobody sees it before it is published. What its lessons hold is taken in afterwards.')]
    public function store(Request $request, MakeFromCartridge $make, CoursesBuilder $courses): JsonResponse
    {
        Body::type($request, 'application/zip');
        try {
            [$course, $left] = $make(KeptBody::of($request, self::LARGEST), WhoLooks::signedIn($request));
        } catch (NotACartridge $e) {
            throw new Problem(ProblemKind::Invalid, $e->getMessage());
        }

        return new JsonResponse(new CartridgeTaken($courses->course($course->refresh()->load(['liveRevision', 'draft'])), array_map(strval(...), $left)), 201);
    }
}
