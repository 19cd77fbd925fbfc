<?php

declare(strict_types=1);

namespace App\Access\Staff;

use App\Models\Course;
use App\Models\Person;
use App\Models\Role;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;

/** What each role may, as doors ask for it. To learners there is nothing there. */
final class Gates
{
    private function __construct()
    {
    }

    public static function define(): void
    {
        // All that there is of a course, open or not.
        Gate::define('see-all', static fn (Person $person, Course $course): Response => app(StaffCourses::class)->maySee($person, $course) ? Response::allow() : Response::denyAsNotFound());
        // Whoever helps people: answers, hands items out, extends passes.
        Gate::define('help-people', static fn (Person $person): Response => match (true) {
            $person->role?->helpsPeople() === true => Response::allow(),
            $person->isStaff() => Response::deny(Say::text('refused.staff.helps_not')),
            default => Response::denyAsNotFound(),
        });
        Gate::define('run-school', static fn (Person $person): Response => match (true) {
            $person->role === Role::Administrator => Response::allow(),
            $person->isStaff() => Response::deny(Say::text('refused.staff.helps')),
            default => Response::denyAsNotFound(),
        });
        // Of the course of the page, or of the whole school where there is none.
        Gate::define('edit-rules', static function (Person $person, ?Course $course = null): Response {
            $course ??= request()->route('course');

            return match (true) {
                $person->role === Role::Administrator, $course instanceof Course && app(StaffCourses::class)->mayEdit($person, $course) => Response::allow(),
                $person->isStaff() => Response::deny(Say::text($person->role === Role::Editor ? 'refused.staff.edits_some' : 'refused.staff.sees')),
                default => Response::denyAsNotFound(),
            };
        });
        // Pictures, which any course may show.
        Gate::define('edit-some', static fn (Person $person): Response => match (true) {
            in_array($person->role, [Role::Administrator, Role::Editor], true) => Response::allow(),
            $person->isStaff() => Response::deny(Say::text('refused.staff.sees')),
            default => Response::denyAsNotFound(),
        });
    }
}
