<?php

declare(strict_types=1);

namespace App\Notices;

use App\Models\Course;

/** Where words of a notice stand, and for whom: the school, a course, a module or an item of it; for everybody, or for the holders of one offer. */
final readonly class NoticePlace
{
    /**
     * @param  ?Course  $course  null: the whole school, for everybody
     * @param  ?string  $item  key of an item or a module; null: the whole course
     * @param  ?string  $offer  for whoever holds or held a pass of it
     */
    private function __construct(public ?Course $course, public ?string $item, public ?string $offer)
    {
    }

    public static function school(): self
    {
        return new self(null, null, null);
    }

    public static function at(Course $course, ?string $item = null, ?string $offer = null): self
    {
        return new self($course, $item, $offer);
    }

    /** No two places have the same: keys have neither blanks nor colons. */
    public function scope(): string
    {
        return ($this->course === null ? 'school' : "course:{$this->course->id}").($this->item === null ? '' : " item:{$this->item}").($this->offer === null ? '' : " offer:{$this->offer}");
    }
}
