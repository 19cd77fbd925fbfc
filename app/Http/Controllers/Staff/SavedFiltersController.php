<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\SaveFilterRequest;
use App\People\SaveFilter;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Filters of people that somebody keeps under a name. */
final readonly class SavedFiltersController
{
    public function __construct(private SaveFilter $save)
    {
    }

    public function store(SaveFilterRequest $request): RedirectResponse
    {
        ($this->save)(WhoLooks::signedIn($request), $request->name(), $request->filterQuery());

        return back();
    }

    public function destroy(Request $request, int $segment): RedirectResponse
    {
        $this->save->forget(WhoLooks::signedIn($request), $segment);

        return back();
    }
}
