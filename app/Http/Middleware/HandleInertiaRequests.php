<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Models\Person;
use App\Models\Role;
use App\Pages\Shared\SchoolHead;
use App\Pages\Shared\SignedIn;
use Illuminate\Http\Request;
use Inertia\Middleware;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    public function __construct(private readonly SchoolOf $school, private readonly SchoolClock $clock)
    {
    }

    private function head(): SchoolHead
    {
        // Where none has begun there is still a page that says so.
        $school = $this->school->begun();

        return $school === null ? new SchoolHead('', 'UTC', 'UTC', 'EUR') : new SchoolHead($school->name, $school->zone, $this->clock->zoneName(), $school->currency);
    }

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        $person = $request->user();

        return [
            ...parent::share($request),
            'school' => $this->head(...),
            'signedIn' => $person instanceof Person ? new SignedIn($person->name, $person->isStaff(), $person->role === Role::Administrator) : null,
            'flash' => fn (): mixed => $request->session()->get('flash'),
        ];
    }
}
