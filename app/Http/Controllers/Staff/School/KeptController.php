<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\School;

use App\Access\WhoLooks;
use App\Http\Requests\KeptRequest;
use App\Http\Text;
use App\Pages\School\Kept\KeptPageBuilder;
use App\Pages\Shared\Flash;
use App\School\Keeping\SaveKept;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** For how long the school keeps what of people. */
final readonly class KeptController
{
    public function __construct(private KeptPageBuilder $pages)
    {
    }

    public function index(): Response
    {
        return Inertia::render('keep/Kept', get_object_vars($this->pages->page(Gate::allows('run-school'))));
    }

    /** How many people some days would erase at once. */
    public function departed(Request $request): JsonResponse
    {
        $days = Text::of($request, 'days', 6);

        return new JsonResponse(get_object_vars($this->pages->departed(preg_match('/^\d{1,5}$/D', $days) === 1 ? max(1, (int) $days) : 36_500)));
    }

    public function update(KeptRequest $request, SaveKept $save): RedirectResponse
    {
        try {
            $save($request->kept('days'), $request->kept('from'), WhoLooks::signedIn($request));
        } catch (\DomainException $refused) {
            throw ValidationException::withMessages(['days' => $refused->getMessage()]);
        }

        return redirect()->route('keep.kept')->with(Flash::done(Say::text('privacy_told.kept.saved')));
    }
}
