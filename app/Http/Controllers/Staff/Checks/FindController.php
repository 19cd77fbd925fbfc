<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\Checks;

use App\Access\Staff\StaffCourses;
use App\Access\WhoLooks;
use App\Http\Text;
use App\Pages\Find\FindBuilder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** What somebody looks for, while they type. */
final readonly class FindController
{
    public function __construct(private FindBuilder $find, private StaffCourses $staff)
    {
    }

    public function show(Request $request): JsonResponse
    {
        $at = $request->query('at');

        return new JsonResponse($this->find->find(Text::of($request, 'q', 100), is_string($at) ? $at : null, Gate::allows('run-school'), $this->staff->only(WhoLooks::signedIn($request))));
    }

    public function rows(Request $request): JsonResponse
    {
        return new JsonResponse($this->find->rows(Text::of($request, 'q', 100), $this->staff->only(WhoLooks::signedIn($request))));
    }
}
