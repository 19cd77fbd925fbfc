<?php

declare(strict_types=1);

namespace App\Http\Controllers\Staff\School;

use App\Access\WhoLooks;
use App\Http\Requests\StaffRequest;
use App\Models\Person;
use App\Models\Role;
use App\Pages\Shared\Flash;
use App\Pages\Staff\StaffPageBuilder;
use App\People\Staff\CannotChangeStaff;
use App\People\Staff\ChangeStaff;
use App\Words\Say;
use Closure;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;

/** Who works for the school. */
final readonly class StaffController
{
    public function __construct(private ChangeStaff $change)
    {
    }

    public function index(Request $request, StaffPageBuilder $pages): Response
    {
        return Inertia::render('keep/Staff', get_object_vars($pages->page(WhoLooks::signedIn($request), Gate::allows('run-school'))));
    }

    public function store(StaffRequest $request): RedirectResponse
    {
        return self::told('staff_told.added', fn (): string => $this->change->add($request->string('email')->toString(), $request->string('name')->trim()->toString(), $request->role(), $request->courses(), WhoLooks::signedIn($request))->name);
    }

    public function update(StaffRequest $request, Person $person): RedirectResponse
    {
        return self::told('staff_told.changed', function () use ($request, $person): string {
            $this->change->change($person, $request->from(), $request->role(), $request->courses(), WhoLooks::signedIn($request));

            return $person->name;
        });
    }

    public function destroy(Request $request, Person $person): RedirectResponse
    {
        Gate::authorize('run-school');
        $from = $request->input('from');

        return self::told('staff_told.removed', function () use ($request, $person, $from): string {
            $this->change->change($person, Role::tryFrom(is_string($from) ? $from : '') ?? throw CannotChangeStaff::meanwhile(), null, [], WhoLooks::signedIn($request));

            return $person->name;
        });
    }

    /**
     * @param  Closure(): string  $do  gives the name of whoever it is done to
     *
     * @throws ValidationException
     */
    private static function told(string $words, Closure $do): RedirectResponse
    {
        try {
            return redirect()->route('keep.staff')->with(Flash::done(Say::text($words, ['name' => $do()])));
        } catch (CannotChangeStaff $cannot) {
            throw ValidationException::withMessages([$cannot->field => $cannot->getMessage()]);
        }
    }
}
