<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Access\Staff\StaffCourses;
use App\Access\WhoLooks;
use App\Models\Course;
use App\Models\Role;
use App\Words\Say;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/**
 * Who works for the school goes no further on its side than their role: who edits some courses to what is of these, who looks on to what
 * changes nothing. What administrators and assistants may is asked at each door.
 */
final readonly class KeepsToTheirRole
{
    /** What is of no course, or of one's own page, and everybody may who edits any. */
    private const EDITORS = ['keep.today', 'keep.courses', 'keep.guide', 'keep.guide.picture', 'keep.find', 'keep.find.rows', 'keep.columns', 'keep.csv-form', 'keep.pictures', 'keep.pictures.keep'];

    /** What is sent without changing anything but how one's own pages look. */
    private const LOOKS = [
        'keep.rehearsal.go-on', 'keep.notices.preview', 'keep.course-notices.preview', 'keep.letters.preview', 'keep.contents.preview', 'keep.condition', 'keep.columns', 'keep.csv-form',
        'keep.vantages.save', 'keep.vantages.forget', 'keep.segments.save', 'keep.segments.forget',
    ];

    public function __construct(private StaffCourses $courses)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $person = WhoLooks::signedIn($request);
        $route = (string) $request->route()?->getName();
        $course = $request->route('course');
        if ($person->role === null) {
            throw new NotFoundHttpException;
        }
        if ($person->role === Role::LookerOn && ! $request->isMethodSafe() && ! in_array($route, self::LOOKS, true)) {
            throw new AccessDeniedHttpException(Say::text('refused.staff.looks_on'));
        }
        if ($person->role === Role::Editor && ! ($course instanceof Course ? $this->courses->maySee($person, $course) : in_array($route, self::EDITORS, true))) {
            throw new AccessDeniedHttpException(Say::text('refused.staff.edits_some'));
        }

        return $next($request);
    }
}
