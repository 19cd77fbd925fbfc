<?php

declare(strict_types=1);

namespace App\Http;

use App\Access\Staff\StaffCourses;
use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\Exceptions\HttpResponseException;
use Illuminate\Routing\Route;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Finds the course that an address names. */
final class CourseAddresses
{
    /**
     * A course that is hidden is found by nobody but staff: its address is like one that leads nowhere, and takes as long.
     *
     * @throws NotFoundHttpException
     * @throws HttpResponseException that leads on, where the course has another address by now
     */
    public static function find(string $address, Route $route): Course
    {
        if (str_starts_with($route->uri(), 'api/')) {
            // Systems of others know it by its key alone, which never changes.
            return Course::query()->where('key', $address)->first() ?? throw new NotFoundHttpException;
        }
        $course = Course::foundAt($address);
        if (str_starts_with($route->uri(), 'keep/')) {
            return $course ?? throw new NotFoundHttpException;
        }
        $person = request()->user();
        if ($course === null || ($course->hidden && ! ($person instanceof Person && app(StaffCourses::class)->maySee($person, $course)))) {
            throw new NotFoundHttpException;
        }
        if ($course->address === null || $course->address === $address) {
            return $course;
        }
        if ($course->old_address === 'nothing') {
            throw new NotFoundHttpException;
        }
        if (! request()->isMethod('GET')) {
            // From a page that was open when the address changed.
            return $course;
        }
        $item = $route->parameter('item');

        // Whoever is known may have kept the lesson; the others are led to the page that says what became of the course.
        throw new HttpResponseException($route->getName() === 'lesson' && $person instanceof Person && is_string($item) ? redirect()->route('lesson', [$course, $item]) : redirect()->route('course', $course));
    }
}
