<?php

declare(strict_types=1);

namespace SilentKeep\Core\Foresight;

use SilentKeep\Core\Compiled\CompiledDecider;
use SilentKeep\Core\Compiled\Mask;
use SilentKeep\Core\Outline\Kind;
use SilentKeep\Core\Outline\Outline;
use SilentKeep\Core\Viewing\Viewer;

/** Where in a course the holders of passes are: the module in which the next lesson lies that is asked of them. */
final readonly class Whereabouts
{
    /** Nothing is left that is asked of them. */
    public const THROUGH = '';

    /** What may be asked of anybody: lessons that are not optional, nor in something optional. */
    private string $asked;

    /** @var list<string> key of the top item in which each item lies, or which it is */
    private array $top;

    public function __construct(private CompiledDecider $decider)
    {
        $outline = $decider->course->outline;
        $this->asked = Mask::of(array_map(static fn (int $at): bool => $outline->items[$at]->kind === Kind::Lesson && $outline->optionalOnPath[$at] === 0, array_keys($outline->items)));
        $this->top = array_map(static fn (array $path): string => $outline->items[$path[0]]->key, $outline->path);
    }

    /** @return list<string> keys of the top items in which somebody may be, in reading order */
    public function places(): array
    {
        $outline = $this->decider->course->outline;
        $places = [];
        foreach ($outline->items as $at => $item) {
            if ($outline->parent[$at] === Outline::TOP && str_contains(substr($this->asked, $at, $outline->end[$at] - $at), Mask::IN) && ! $item->draft) {
                $places[] = $item->key;
            }
        }

        return $places;
    }

    /**
     * @param  int  $at  what is done later is ignored
     * @return ?string the key of a top item; THROUGH: all is done; null: no pass of theirs is active, or nothing is asked of them by any
     */
    public function of(Viewer $viewer, int $at): ?string
    {
        $masks = $this->decider->viewer($viewer, $at);
        $counts = str_repeat(Mask::OUT, strlen($this->asked));
        foreach ($masks->passes as $pass) {
            if ($pass->isActive($at)) {
                $counts |= $pass->eligible($at);
            }
        }
        $counts &= $this->asked;
        if (! str_contains($counts, Mask::IN)) {
            return null;
        }
        $next = strpos($counts & ~$masks->done, Mask::IN);

        return $next === false ? self::THROUGH : $this->top[$next];
    }
}
