<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Compiled\ViewerMasks;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Viewing\Viewer;

/** How far somebody has come in a course: how many lessons they have finished of those that are asked of them. */
final readonly class ProgressCount
{
    private string $lessons;

    /** Lessons that are optional, or in something optional. */
    private string $optional;

    public function __construct(private CompiledDecider $decider)
    {
        $outline = $decider->course->outline;
        $this->lessons = Mask::of(array_map(static fn (int $at): bool => $outline->items[$at]->kind === Kind::Lesson, array_keys($outline->items)));
        $this->optional = Mask::of(array_map(static fn (int $optional): bool => $optional > 0, $outline->optionalOnPath));
    }

    /**
     * Asked are the lessons that count for a pass of theirs, or, where none is active, those that are published; of either what is not hidden
     * from them. With whom they look, that one's passes and work are what counts.
     *
     * @param  int  $at  what is done later is ignored
     * @return array{int, int, int} finished, of how many that are asked; and optional ones not finished
     */
    public function of(Viewer $viewer, int $at): array
    {
        $masks = $this->decider->viewer($viewer, $at);
        $whose = $masks->observed ?? $masks;
        $known = strtr($this->decider->states($masks, $at), 'olh', Mask::IN.Mask::IN.Mask::OUT) & $this->lessons & $this->counts($whose, $at);
        $asked = $known & ~$this->optional;
        $more = $known & $this->optional;

        return [substr_count($asked & $whose->done, Mask::IN), substr_count($asked, Mask::IN), substr_count($more & ~$whose->done, Mask::IN)];
    }

    private function counts(ViewerMasks $whose, int $at): string
    {
        $counts = null;
        foreach ($whose->passes as $pass) {
            if ($pass->isActive($at)) {
                $counts = $counts === null ? $pass->eligible($at) : $counts | $pass->eligible($at);
            }
        }

        return $counts ?? $whose->course->published;
    }
}
