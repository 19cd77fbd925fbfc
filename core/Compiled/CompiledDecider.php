<?php

declare(strict_types=1);

namespace SilentKeep\Core\Compiled;

use SilentKeep\Core\Deciding\Decision;
use SilentKeep\Core\Deciding\PreparedCourse;
use SilentKeep\Core\Deciding\Reason;
use SilentKeep\Core\Deciding\Route;
use SilentKeep\Core\Deciding\State;
use SilentKeep\Core\Deciding\StateChange;
use SilentKeep\Core\Outline\Course;
use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Plan;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;

/**
 * The same decisions as {@see \SilentKeep\Core\Deciding\Decider}, many times faster: for many viewers, and
 * for looking far ahead. Tests hold the two equal; where they differ, that one is right.
 */
final readonly class CompiledDecider
{
    public CompiledCourse $compiled;

    /** @param  ?PreparedCourse  $prepared  of just these, where it is there already */
    public function __construct(Plan $plan, public Course $course, ?PreparedCourse $prepared = null)
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
        [$open] = $viewer->open($at);

        return self::letters($open, $this->compiled->hidden($open));
    }

    private static function letters(string $open, string $hidden): string
    {
        return strtr(Mask::as($open, 2) | $hidden, "\x00\x01\x02\x03", 'lhoo');
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
        $masks = $this->viewer($viewer, $at);
        [$open] = $masks->open($at);

        return $this->spellOut($masks, $at, $this->nextChanges($masks, $at, $open, self::letters($open, $this->compiled->hidden($open)), $items === null ? $this->compiled->all : $this->maskOf($items)));
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

    /** @param  list<?StateChange>  $next  what time will change first, found already */
    public function spellOut(ViewerMasks $viewer, int $at, array $next): Answers
    {
        $routes = $viewer->routes($at);
        [$open, $works] = $viewer->openBy($routes);
        [$via, $routeOf] = $this->via($routes, $open);

        return new Answers($this->compiled->outline, self::letters($open, $this->compiled->hidden($open)), $via, $routeOf, $works, Why::of($viewer, $at, $open), $next);
    }

    /**
     * The first route that opens each item.
     *
     * @param  array<string, string>  $routes  in the order in which they are tried
     * @return array{string, array<array-key, ?Route>} a byte an item, and what it stands for
     */
    private function via(array $routes, string $open): array
    {
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
     * @param  string  $open  at `$at`
     * @param  string  $states  at `$at`
     * @param  string  $waiting  mask of those that are asked about
     * @return list<?StateChange>
     */
    private function nextChanges(ViewerMasks $viewer, int $at, string $open, string $states, string $waiting): array
    {
        $next = array_fill(0, $this->compiled->count, null);
        foreach ($this->instants($viewer, $at, Instant::NEVER) as $instant) {
            [$openThen] = $viewer->open($instant);
            if ($openThen === $open) {
                continue;
            }
            $open = $openThen;
            $then = self::letters($open, $this->compiled->hidden($open));
            // Bytes that differ become something other than \x00; those that already have their change are masked out.
            $changed = strtr($states ^ $then, self::ANY_BUT_NUL, self::ALL_ONES) & $waiting;
            if (! str_contains($changed, Mask::IN)) {
                continue;
            }
            $waiting ^= $changed;
            $changes = ['o' => new StateChange($instant, State::Open), 'l' => new StateChange($instant, State::Locked), 'h' => new StateChange($instant, State::Hidden)];
            for ($item = strpos($changed, Mask::IN); $item !== false; $item = strpos($changed, Mask::IN, $item + 1)) {
                $next[$item] = $changes[$then[$item]] ?? null;
            }
            if (! str_contains($waiting, Mask::IN)) {
                break;
            }
        }

        return array_values($next);
    }

    // The letters differ in these bits only: o^l, o^h, l^h.
    private const ANY_BUT_NUL = "\x03\x07\x04";

    private const ALL_ONES = "\x01\x01\x01";

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
        $wanted = [];
        foreach ([$viewer->instants($shutting), $this->compiled->instants($shutting)] as $instants) {
            foreach ($instants as $instant) {
                if ($instant > $after && $instant < $before) {
                    $wanted[$instant] = true;
                }
            }
        }
        unset($wanted[Instant::NEVER]);
        $instants = array_keys($wanted);
        sort($instants);

        return $instants;
    }

    /** @return list<Reason> */
    public function why(ViewerMasks $viewer, int $at, int $item): array
    {
        return Why::of($viewer, $at, $viewer->open($at)[0])[$item];
    }
}
