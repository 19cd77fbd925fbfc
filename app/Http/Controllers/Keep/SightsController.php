<?php

declare(strict_types=1);

namespace App\Http\Controllers\Keep;

use App\Http\Requests\LookRequest;
use App\Keep\SightDesk;
use App\Models\Course;
use Illuminate\Http\JsonResponse;

/** What the lenses ask about what others see, beside the pages themselves. */
final readonly class SightsController
{
    public function __construct(private SightDesk $desk)
    {
    }

    /** The grid over time, so that moving through it asks for nothing more. */
    public function overTime(LookRequest $request, Course $course): JsonResponse
    {
        return new JsonResponse($this->desk->overTime($course, $request->look(), $request->query('lens') === 'timeline'));
    }
}
