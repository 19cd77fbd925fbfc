<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\School;

use App\Access\WhoLooks;
use App\Http\Requests\RenameLabelRequest;
use App\Http\Text;
use App\Labels\CannotRename;
use App\Labels\RenameLabel;
use App\Pages\Labels\LabelsPageBuilder;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** The labels of the school. */
final readonly class LabelsController
{
    public function __construct(private LabelsPageBuilder $pages)
    {
    }

    public function index(Request $request): Response
    {
        return Inertia::render('keep/Labels', get_object_vars($this->pages->page(Gate::allows('run-school'), Text::of($request, 'all', 100))));
    }

    /** Whom it touches that two become one. */
    public function merged(Request $request): JsonResponse
    {
        return new JsonResponse(get_object_vars($this->pages->merged(Text::of($request, 'from'), Text::of($request, 'to'))));
    }

    public function update(RenameLabelRequest $request, RenameLabel $rename): RedirectResponse
    {
        [$from, $to] = [$request->string('from')->toString(), $request->string('to')->trim()->toString()];
        try {
            $merged = $rename($from, $to, $request->boolean('together'), WhoLooks::signedIn($request));
        } catch (CannotRename $cannot) {
            throw ValidationException::withMessages(['to' => $cannot->getMessage()]);
        }

        return redirect()->route('keep.labels')->with(Flash::done(Say::text($merged ? 'school_told.labels.merged' : 'school_told.labels.done', ['from' => $from, 'to' => $to])));
    }
}
