<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\SchoolClock;
use App\Access\SchoolOf;
use App\Access\Viewers;
use App\Access\WhoLooks;
use App\Http\Side;
use App\Models\Person;
use App\Models\Role;
use App\Pages\Shared\Looking;
use App\Pages\Shared\SchoolHead;
use App\Pages\Shared\SignedIn;
use App\Words\ReaderZone;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\App;
use Inertia\Middleware;

final class HandleInertiaRequests extends Middleware
{
    protected $rootView = 'app';

    public function __construct(private readonly SchoolOf $school, private readonly SchoolClock $clock, private readonly Viewers $viewers, private readonly WhoLooks $who, private readonly ReaderZone $reader)
    {
    }

    /** Another one on each side and in each language, so that whoever goes over fetches the page, and with it the scripts and words it needs. */
    public function version(Request $request): string
    {
        return implode('-', [Side::of($request)->value, App::getLocale(), parent::version($request)]);
    }

    private function head(): SchoolHead
    {
        // Where none has begun there is still a page that says so.
        $school = $this->school->begun();

        return $school === null ? new SchoolHead('', 'UTC', 'UTC', 'EUR', knowsReader: false) : new SchoolHead($school->name, $school->zone, $this->clock->zoneName(), $school->currency, knowsReader: $this->reader->isKnown());
    }

    /** Null for whoever observes nobody. */
    private function looking(Request $request, Person $person): ?Looking
    {
        $learners = $this->viewers->learnersOf($person);

        return $learners === [] ? null : new Looking($learners, $this->who->observed($request, $person)?->id);
    }

    /** @return array<string, mixed> */
    public function share(Request $request): array
    {
        $person = $request->user();

        return [
            ...parent::share($request),
            'school' => $this->head(...),
            'signedIn' => $person instanceof Person ? new SignedIn($person->name, $person->isStaff(), $person->role === Role::Administrator, $person->role?->value) : null,
            'looking' => fn (): ?Looking => $person instanceof Person && ! $request->is('keep', 'keep/*') ? $this->looking($request, $person) : null,
            'flash' => fn (): mixed => $request->session()->get('flash'),
        ];
    }
}
