<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\School;

use App\Access\WhoLooks;
use App\Pages\Shared\CountedChange;
use App\Pages\Shared\Flash;
use App\Pages\Shared\ImpactLine;
use App\School\Zone\ChangeZone;
use App\School\Zone\MovedByZone;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/** The zone of the school: what another one would move, and the change. */
final readonly class ZoneController
{
    private const ZONE = ['zone' => ['required', 'string', 'timezone:all_with_bc']];

    public function moves(Request $request, MovedByZone $moved): JsonResponse
    {
        Gate::authorize('run-school');
        $request->validate(self::ZONE);
        $zone = $request->string('zone')->toString();
        $later = $moved->later($zone);
        $shift = $later === 0 ? Say::text('school_told.zone.no_shift') : Say::text('school_told.zone.shift', ['later' => $later > 0 ? 'yes' : 'no', 'hours' => abs($later) / 3600]);

        return new JsonResponse(get_object_vars(new CountedChange($shift, ImpactLine::each($moved->of($zone)))));
    }

    public function update(Request $request, ChangeZone $change): RedirectResponse
    {
        Gate::authorize('run-school');
        $request->validate(self::ZONE + ['from' => ['required', 'string']]);
        try {
            $change($request->string('from')->toString(), $request->string('zone')->toString(), WhoLooks::signedIn($request));
        } catch (\DomainException $refused) {
            throw ValidationException::withMessages(['zone' => $refused->getMessage()]);
        }

        return back()->with(Flash::done(Say::text('school_told.zone.done', ['zone' => $request->string('zone')->toString()])));
    }
}
