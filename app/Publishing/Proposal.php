<?php

declare(strict_types=1);

namespace App\Publishing;

use App\Drafts\DraftedContent;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Models\Revision;
use App\Words\Sentence;

/** What is to be live instead of what is: a draft at one of its versions, an earlier revision, or a plan from a file. */
final readonly class Proposal
{
    /**
     * @param  ?CourseDocument  $live  null: the course was never published
     * @param  ?int  $base  the revision that is live, as far as whoever proposes has seen
     * @param  string  $subject  names what is proposed, and its version
     * @param  list<DraftedContent>  $contents  what items are to hold besides; nothing of it changes who may see what
     */
    private function __construct(
        public Course $course,
        public ?CourseDocument $live,
        public ?int $base,
        public CourseDocument $document,
        public string $subject,
        public ?Draft $draft = null,
        public ?Revision $earlier = null,
        public array $contents = [],
    ) {
    }

    public static function draft(Course $course, Draft $draft): self
    {
        $document = CourseDocument::fromJson($draft->document);

        return new self($course, self::live($course), $draft->base_revision_id, $document, "draft {$draft->id} version {$draft->version}", draft: $draft, contents: DraftedContent::of($course, $document));
    }

    public static function backTo(Course $course, Revision $earlier): self
    {
        return new self($course, self::live($course), $course->live_revision_id, CourseDocument::fromJson($earlier->document), "revision {$earlier->number}", earlier: $earlier, contents: DraftedContent::before($course, $earlier)[0]);
    }

    public static function file(Course $course, CourseDocument $document): self
    {
        return new self($course, self::live($course), $course->live_revision_id, $document, 'file');
    }

    /** Whether it says nothing but what is live already. */
    public function saysNothingNew(): bool
    {
        return $this->contents === [] && $this->live !== null && $this->live->equals($this->document);
    }

    /** @return list<Sentence> what it changes, beside what it says of the rules */
    public function contentsTold(): array
    {
        return array_map(static fn (DraftedContent $content): Sentence => $content->sentence(), $this->contents);
    }

    private static function live(Course $course): ?CourseDocument
    {
        return $course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document);
    }
}
