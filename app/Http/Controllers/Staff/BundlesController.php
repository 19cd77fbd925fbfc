<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff;

use App\Access\WhoLooks;
use App\Http\Requests\BundleRequest;
use App\Models\Bundle;
use App\Offers\SaveBundle;
use App\Pages\Shared\Flash;
use App\Words\Say;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final readonly class BundlesController
{
    public function __construct(private SaveBundle $save)
    {
    }

    public function store(BundleRequest $request): RedirectResponse
    {
        ($this->save)(null, $request->columns(), $request->offers(), WhoLooks::signedIn($request));

        return back();
    }

    public function update(BundleRequest $request, Bundle $bundle): RedirectResponse
    {
        ($this->save)($bundle, $request->columns(), $request->offers(), WhoLooks::signedIn($request));

        return back();
    }

    public function destroy(Request $request, Bundle $bundle): RedirectResponse
    {
        return back()->with($this->save->drop($bundle, WhoLooks::signedIn($request))
            ? Flash::done(Say::text('told.bundles_controller.name_is_gone', ['name' => $bundle->name]))
            : Flash::refused(Say::text('told.bundles_controller.somebody_has_bought_name', ['name' => $bundle->name])));
    }
}
