<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\Course;
use App\Models\Person;
use Illuminate\Http\Request;

/** Finds out who is at the other end of a request. */
final readonly class WhoLooks
{
    /** In the session: the learner with whom an observer looks; 0: with nobody, though they could. */
    public const OBSERVED = 'observes';

    public function __construct(private Viewers $viewers)
    {
    }

    public function at(Request $request, Course $course): Looker
    {
        $person = self::person($request);

        return new Looker($person, self::isGuest($request, $course), $person === null ? null : $this->observed($request, $person));
    }

    /** For whom addresses of media are made: one person, or one visit of somebody who is not known. */
    public static function bearer(Request $request): string
    {
        $person = self::person($request);

        return $person === null ? 'session '.$request->session()->getId() : "person {$person->id}";
    }

    public static function person(Request $request): ?Person
    {
        $person = $request->user();

        return $person instanceof Person ? $person : null;
    }

    /** Where the route lets nobody else through. */
    public static function signedIn(Request $request): Person
    {
        return self::person($request) ?? throw new \LogicException('This is for those who are signed in.');
    }

    /** Whoever came by a link that has been changed since is no guest any more. */
    public static function isGuest(Request $request, Course $course): bool
    {
        $token = $request->cookie(self::cookie($course));

        return is_string($token) && $course->guest_token !== null && hash_equals($course->guest_token, $token);
    }

    public static function cookie(Course $course): string
    {
        return "guest-{$course->id}";
    }

    /** Whom somebody looks with: whom they have chosen, as long as they are tied; before that, one who holds nothing and observes one alone, with that one. */
    public function observed(Request $request, Person $observer): ?Person
    {
        $learner = $request->hasSession() ? $request->session()->get(self::OBSERVED) : null;

        return is_int($learner) ? $this->viewers->observed($observer, $learner) : $this->viewers->onlyLearnerOf($observer);
    }
}
