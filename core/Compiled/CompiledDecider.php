<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Compiled\Ahead\NextChanges;
use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instants;
use SilentKeep\Core\Viewing\Viewer;

/**
 * The same decisions as {@see \SilentKeep\Core\Deciding\Decider}, many times faster: for many viewers, and
 * for looking far ahead. Tests hold the two equal; where they differ, that one is right.
 */
final class CompiledDecider
{
    public readonly CompiledCourse $compiled;

    /** @var array<string, array<array-key, ?Route>> what the bytes stand for where one route leads anywhere, by that */
    private static array $alone = [];

    /** @var array<string, Answers> to those who have nothing of their own, as visitors and guests, by what they are, at the instant last asked about */
    private array $toNobody = [];

    /** @var array<string, string> the same of states */
    private array $statesToNobody = [];

    private ?int $nobodyAt = null;

    /** @param  ?PreparedCourse  $prepared  of just these, where it is there already */
    public function __construct(Plan $plan, public readonly Course $course, ?PreparedCourse $prepared = null)
    {
        $this->compiled = new CompiledCourse($prepared ?? new PreparedCourse($plan, $course));
    }

    public static function of(PreparedCourse $prepared): self
    {
        return new self($prepared->plan, $prepared->course, $prepared);
    }

    public function viewer(Viewer $viewer, int $asOf): ViewerMasks
    {
        return new ViewerMasks($this->compiled, $viewer, $asOf);
    }

    /** @return string a byte an item in reading order: `o` open, `l` locked, `h` hidden */
    public function states(ViewerMasks $viewer, int $at): string
    {
        $nobody = $this->nobody($viewer->viewer, $at);
        if ($nobody === null) {
            return $this->compiled->states($viewer->open($at)[0]);
        }

        return $this->statesToNobody[$nobody] ??= $this->compiled->states($viewer->open($at)[0]);
    }

    /** @return list<Decision> every item in reading order */
    public function decide(Viewer $viewer, int $at): array
    {
        return $this->answers($viewer, $at)->decisions();
    }

    /**
     * The same, not yet spelled out item by item.
     *
     * @param  ?list<int>  $items  positions of those that are asked about: what time will change is looked up for no other; null: all
     */
    public function answers(Viewer $viewer, int $at, ?array $items = null): Answers
    {
        $nobody = $items === null ? $this->nobody($viewer, $at) : null;
        if ($nobody === null) {
            return $this->answersTo($viewer, $at, $items === null ? $this->compiled->all : $this->maskOf($items));
        }

        return $this->toNobody[$nobody] ??= $this->answersTo($viewer, $at, $this->compiled->all);
    }

    /** What somebody is who has nothing of their own, as text; null: they have something. */
    private function nobody(Viewer $viewer, int $at): ?string
    {
        if (! $viewer->hasNothing()) {
            return null;
        }
        if ($at !== $this->nobodyAt) {
            $this->nobodyAt = $at;
            $this->toNobody = $this->statesToNobody = [];
        }

        return ($viewer->signedIn ? 'signed in' : 'visitor').($viewer->guest ? ', guest' : '').($viewer->staff ? ', staff' : '');
    }

    /** @param  string  $asked  mask */
    private function answersTo(Viewer $viewer, int $at, string $asked): Answers
    {
        $masks = $this->viewer($viewer, $at);
        $routes = $masks->routes($at);
        [$open, $works] = $masks->openBy($routes);
        $states = $this->compiled->states($open);

        return $this->answersOf($masks, $at, $routes, $open, $works, $states, NextChanges::of($masks, $at, $open, $states, $asked));
    }

    /** @param  list<int>  $items  positions */
    private function maskOf(array $items): string
    {
        $mask = $this->compiled->none;
        foreach ($items as $item) {
            $mask[$item] = Mask::IN;
        }

        return $mask;
    }

    /** @param  array<int, int>  $next  of every item, what time will change first, as {@see ChangeCode} */
    public function spellOut(ViewerMasks $viewer, int $at, array $next): Answers
    {
        $routes = $viewer->routes($at);
        [$open, $works] = $viewer->openBy($routes);

        return $this->answersOf($viewer, $at, $routes, $open, $works, $this->compiled->states($open), $next);
    }

    /**
     * @param  array<string, string>  $routes
     * @param  array<int, int>  $next  of every item, as {@see ChangeCode}
     */
    private function answersOf(ViewerMasks $viewer, int $at, array $routes, string $open, string $works, string $states, array $next): Answers
    {
        [$via, $routeOf] = $this->via($routes, $open);

        return new Answers($this->compiled->outline, $states, $via, $routeOf, $works, Why::of($viewer, $at, $open), $next);
    }

    /**
     * The first route that opens each item.
     *
     * @param  array<string, string>  $routes  in the order in which they are tried
     * @return array{string, array<array-key, ?Route>} a byte an item, and what it stands for
     */
    private function via(array $routes, string $open): array
    {
        if (count($routes) === 1) {
            return [$open, self::$alone[array_key_first($routes)] ??= [Mask::OUT => null, Mask::IN => Route::from(array_key_first($routes))]];
        }
        $bytes = $this->compiled->none;
        $named = [Mask::OUT => null];
        $left = $open;
        foreach ($routes as $name => $mask) {
            $byte = count($named);
            $named[chr($byte)] = Route::from($name);
            $bytes |= Mask::as($mask & $left, $byte);
            $left &= $mask ^ $this->compiled->all;
        }

        return [$bytes, $named];
    }

    /**
     * @param  int  $before  the first instant that no longer counts
     * @param  bool  $shutting  only those at which something may shut
     * @return list<int> ascending, after `$after`, at which anything may change by time alone
     */
    public function instants(ViewerMasks $viewer, int $after, int $before, bool $shutting = false): array
    {
        if ($viewer->viewer->staff || $this->course->state === CourseState::Draft) {
            return [];
        }

        return Instants::between([...$viewer->instants($shutting), ...$this->compiled->instants($shutting)], $after, $before);
    }

    /** @return list<Reason> */
    public function why(ViewerMasks $viewer, int $at, int $item): array
    {
        return Why::of($viewer, $at, $viewer->open($at)[0])->at($item);
    }
}
