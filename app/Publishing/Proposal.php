<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Revision;

/** What is to be live instead of what is: a draft at one of its versions, an earlier revision, or a plan from a file. */
final readonly class Proposal
{
    /**
     * @param  ?CourseDocument  $live  null: the course was never published
     * @param  ?int  $base  the revision that is live, as far as whoever proposes has seen
     * @param  string  $subject  names what is proposed, and its version
     */
    private function __construct(
        public Course $course,
        public ?CourseDocument $live,
        public ?int $base,
        public CourseDocument $document,
        public string $subject,
        public ?Draft $draft = null,
        public ?Revision $earlier = null,
    ) {
    }

    public static function draft(Course $course, Draft $draft): self
    {
        return new self($course, self::live($course), $draft->base_revision_id, CourseDocument::fromJson($draft->document), "draft {$draft->id} version {$draft->version}", draft: $draft);
    }

    public static function backTo(Course $course, Revision $earlier): self
    {
        return new self($course, self::live($course), $course->live_revision_id, CourseDocument::fromJson($earlier->document), "revision {$earlier->number}", earlier: $earlier);
    }

    public static function file(Course $course, CourseDocument $document): self
    {
        return new self($course, self::live($course), $course->live_revision_id, $document, 'file');
    }

    /** Whether it says nothing but what is live already. */
    public function saysNothingNew(): bool
    {
        return $this->live !== null && $this->live->equals($this->document);
    }

    private static function live(Course $course): ?CourseDocument
    {
        return $course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document);
    }
}
