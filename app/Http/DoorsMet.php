<?php

declare(strict_types=1);

namespace App\Http;

use App\Access\WhoLooks;
use App\Learning\LearnerView;
use App\Learning\PassingNotes;
use App\Models\Course;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Psr\Clock\ClockInterface;

/**
 * Counts closed doors that are met, and what is done next. It is kept in the session which door it was; what is counted says
 * nothing of whose session that is. Of whoever is signed in it is noted besides that they met it on that day.
 */
final readonly class DoorsMet
{
    private const KEY = 'doors-met';

    /** Doors that a session remembers. */
    private const MOST = 20;

    /** Seconds in which what is done next has to do with the door. */
    private const NEXT = 1800;

    public function __construct(private PassingNotes $notes, private ClockInterface $clock)
    {
    }

    /** A door is met once a day by whoever comes to it again and again. */
    public function met(Request $request, Course $course, LearnerView $view, string $item, string $case): void
    {
        $now = $this->clock->now()->getTimestamp();
        $known = $this->known($request);
        $door = "{$course->id} {$item} {$case} ".gmdate('Y-m-d', $now);
        $isNew = ! isset($known[$door]);
        $token = $known[$door]['token'] ?? Str::random(32);
        unset($known[$door]);
        $known[$door] = ['token' => $token, 'course' => $course->id, 'item' => $item, 'case' => $case, 'who' => self::who($view), 'at' => $now];
        $request->session()->put(self::KEY, array_slice($known, -self::MOST, preserve_keys: true));
        if ($isNew) {
            $this->notes->met($token, $course->id, $item, $case, self::who($view), null, $now, WhoLooks::person($request)?->id);
        }
    }

    /**
     * Something is done that may have to do with the last door.
     *
     * @param  'taken'|'signed-in'|'went-on'  $what
     */
    public function then(Request $request, string $what): void
    {
        $known = $this->known($request);
        $last = end($known);
        $now = $this->clock->now()->getTimestamp();
        if ($last !== false && $now - $last['at'] <= self::NEXT) {
            $this->notes->met($last['token'], $last['course'], $last['item'], $last['case'], $last['who'], $what, $last['at']);
            if ($what === 'went-on') {
                // Whatever else they look at later has nothing to do with it.
                unset($known[array_key_last($known)]);
                $request->session()->put(self::KEY, $known);
            }
        }
    }

    private static function who(LearnerView $view): string
    {
        $viewer = $view->answer->viewer;

        return match (true) {
            $viewer->observes !== null => 'observer',
            $view->answer->snapshot()->holdsActivePass() => 'holder',
            $viewer->signedIn => 'member',
            $viewer->guest => 'guest',
            default => 'visitor',
        };
    }

    /** @return array<array-key, array{token: string, course: int, item: string, case: string, who: string, at: int}> the last one last */
    private function known(Request $request): array
    {
        /** @var array<array-key, array{token: string, course: int, item: string, case: string, who: string, at: int}> $known only ever written here */
        $known = $request->session()->get(self::KEY, []);

        return $known;
    }
}
