<?php

declare(strict_types=1);

namespace App\Learning;

use SilentKeep\Core\Outline\CourseState;
use SilentKeep\Core\Outline\Entry;
use SilentKeep\Core\Viewing\Pass;

/** What a list says of a course to one viewer, and how long it stays true. */
final readonly class CourseSummary
{
    /**
     * @param  bool  $visible  whether there is anything at all to be seen
     * @param  bool  $isOver  its season is over for them, or it is retired and they do not keep it
     * @param  int  $open  lessons that are open
     * @param  int  $finished  lessons
     * @param  int  $more  optional ones that are not finished
     * @param  int  $lessons  that are asked for: those that count for the pass, or may be known of where there is none
     * @param  int  $passes  of the course, active or not, theirs or of whom they look with
     * @param  ?Pass  $pass  the active one that lasts longest
     * @param  ?string  $offer  of that pass, by name
     * @param  list<string>  $known  keys of the lessons and parts that may be known of
     * @param  list<string>  $openTo  keys of the lessons and parts that are open to them
     * @param  ?string  $sample  key of the first lesson that is open to them
     * @param  ?int  $opens  when the season begins, where that is still to come
     * @param  int  $from  the instant at which it was asked
     * @param  int  $until  the first instant at which something may be another; Instant::NEVER where nothing will
     */
    public function __construct(
        public string $key,
        public string $title,
        public CourseState $state,
        public Entry $entry,
        public bool $visible,
        public bool $isOver,
        public int $open,
        public int $finished,
        public int $lessons,
        public int $more,
        public int $passes,
        public ?Pass $pass,
        public ?string $offer,
        public array $known,
        public array $openTo,
        public ?string $sample,
        public ?int $opens,
        public int $from,
        public int $until,
    ) {
    }

    public function holdsAt(int $instant): bool
    {
        return $this->from <= $instant && $instant < $this->until;
    }
}
