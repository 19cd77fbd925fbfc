<?php

declare(strict_types=1);

namespace App\Console\Commands\Plans;

use App\Words\FindingWords;
use App\Words\Say;
use SilentKeep\Core\Checks\Finding;
use SilentKeep\Core\Outline\Course;

/** A course and what was found in it. */
final readonly class CheckedCourse
{
    /** @param  list<Finding>  $findings */
    public function __construct(public Course $course, public array $findings)
    {
    }

    /**
     * @param  \Closure(int): string  $when
     * @return list<string> for people
     */
    public function lines(\Closure $when): array
    {
        $words = new FindingWords($this->course, $when);

        return array_map(fn (Finding $finding): string => Say::text('checks.file.found', [
            'course' => $this->course->key, 'level' => Say::text("checks.level.{$finding->kind->level()->value}"), 'what' => (string) $words->what($finding), 'why' => $words->why($finding), 'check' => $finding->kind->value,
        ]), $this->findings);
    }
}
