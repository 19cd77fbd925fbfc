<?php

declare(strict_types=1);

namespace App\Checks;

use App\Access\Kept;
use App\Models\AcceptedFinding;
use App\Models\Course;
use App\Models\CourseDocument;
use Illuminate\Database\Eloquent\Collection;
use SilentKeep\Core\Checks\Checks;
use SilentKeep\Core\Checks\Finding;

/** What is found in a course's rules, and what of it has been accepted. */
final class CourseFindings
{
    /** @var array<int, list<Finding>> of what is live, by the course's id */
    private array $live = [];

    public function __construct(private readonly Surveys $surveys, private readonly Kept $kept, private readonly KnownOfCourses $known)
    {
    }

    /** @return list<Finding> accepted or not */
    public function all(Course $course, CourseDocument $document): array
    {
        if ($this->surveys->isInForce($course, $document)) {
            return $this->live[$course->id] ?? $this->live([$course])[$course->id] ?? [];
        }

        return $this->kept->all("findings-of-draft-{$course->id}", KeptFindings::class, [$course->id => $this->surveys->stamp($course, $document)],
            fn (): array => [$course->id => $this->find($course, $document)])[$course->id]->findings ?? [];
    }

    /**
     * Of what is live, accepted or not.
     *
     * @param  list<Course>  $courses
     * @return array<int, list<Finding>> by id
     */
    public function live(array $courses): array
    {
        $of = [];
        foreach ($courses as $course) {
            $of[$course->id] = $course;
        }
        $found = $this->kept->all('findings', KeptFindings::class, $this->surveys->liveStamps($courses), function (array $missing) use ($of): array {
            $made = [];
            (new Collection(array_intersect_key($of, array_flip($missing))))->loadMissing('liveRevision');
            foreach ($missing as $id) {
                $json = $of[$id]->liveRevision?->document;
                if ($json !== null) {
                    $made[$id] = $this->find($of[$id], CourseDocument::fromJson($json));
                }
            }

            return $made;
        });

        $this->live = array_map(static fn (KeptFindings $kept): array => $kept->findings, $found) + $this->live;

        return array_intersect_key($this->live, $of);
    }

    private function find(Course $course, CourseDocument $document): KeptFindings
    {
        return new KeptFindings(Checks::findings($this->surveys->of($course, $document)));
    }

    /** @return list<Finding> that nobody has accepted, or whose cause has changed since */
    public function open(Course $course, CourseDocument $document): array
    {
        return $this->notAccepted($course, $this->all($course, $document));
    }

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    public function notAccepted(Course $course, array $findings): array
    {
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

    /** @param  list<Course>  $courses  that will be asked about one after the other */
    public function prepare(array $courses): void
    {
        $this->live($courses);
    }

    /** What a finding is of, as it is kept and named in addresses. */
    public static function digest(Finding $finding): string
    {
        return hash('xxh128', $finding->subject());
    }
}
