<?php

declare(strict_types=1);

namespace App\Checks;

use App\Access\Kept;
use App\Models\AcceptedFinding;
use App\Models\Course;
use App\Models\CourseDocument;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Finding;

/** What is found in a course's rules, and what of it has been accepted. */
final readonly class CourseFindings
{
    public function __construct(private Surveys $surveys, private Kept $kept, private KnownOfCourses $known)
    {
    }

    /** @return list<Finding> accepted or not */
    public function all(Course $course, CourseDocument $document): array
    {
        $of = $this->surveys->isInForce($course, $document) ? 'live' : 'draft';

        return $this->kept->all("findings-{$of}-{$course->id}", KeptFindings::class, [$course->id => $this->surveys->stamp($course, $document)],
            fn (): array => [$course->id => new KeptFindings(Checks::findings($this->surveys->of($course, $document)))])[$course->id]->findings ?? [];
    }

    /** @return list<Finding> that nobody has accepted, or whose cause has changed since */
    public function open(Course $course, CourseDocument $document): array
    {
        $findings = $this->all($course, $document);
        $accepted = $findings === [] ? [] : $this->accepted($course);

        return array_values(array_filter($findings, static fn (Finding $finding): bool => ($accepted[self::digest($finding)] ?? null)?->cause !== $finding->cause));
    }

    /** What stood on the page with this cause, of the draft's rules or of those in force; null: it is not so any more. */
    public function shown(Course $course, string $digest, string $cause): ?Finding
    {
        $json = $course->draft->document ?? $course->liveRevision?->document;
        foreach ($json === null ? [] : $this->all($course, CourseDocument::fromJson($json)) as $finding) {
            if (self::digest($finding) === $digest && $finding->cause === $cause) {
                return $finding;
            }
        }

        return null;
    }

    /** @return array<array-key, AcceptedFinding> by digest of what they are of */
    public function accepted(Course $course): array
    {
        return $this->known->accepted($course->id);
    }

    /** @param  list<int>  $courses  that will be asked about one after the other */
    public function prepare(array $courses): void
    {
        $this->known->prepare($courses);
    }

    /** What a finding is of, as it is kept and named in addresses. */
    public static function digest(Finding $finding): string
    {
        return hash('xxh128', $finding->subject());
    }
}
