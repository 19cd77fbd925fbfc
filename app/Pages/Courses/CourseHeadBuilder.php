<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Checks\Besides;
use App\Checks\BesidesRules;
use App\Checks\CourseFindings;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentCourse;
use App\Models\Draft;
use App\Pages\Notices\NoticeFindings;
use App\Sightlines\Vantages\Look;
use App\Words\FindingWords;
use App\Words\RuleWords;
use App\Words\Say;
use App\Words\Sentence;
use App\Words\SentencePart;

/** What stands above every page of a course for those who look after it, and what all of them read. */
final readonly class CourseHeadBuilder
{
    public function __construct(private Plans $plans, private SchoolClock $clock, private CourseFindings $findings, private BesidesRules $besides, private NoticeFindings $notices)
    {
    }

    public function of(Course $course, CourseDocument $document): CourseHead
    {
        $undone = $course->draft?->edits()->whereNotNull('undone_from')->count() ?? 0;

        $draft = $course->draft;

        return new CourseHead(
            $course->key, $document->title(), $document->read()->state(), $this->doors($document),
            $course->liveRevision?->number, $draft->version ?? 0, ($draft?->edits()->count() ?? 0) - $undone, $undone,
            goesLive: $draft?->publish_at === null ? null : $this->clock->words($draft->publish_at->getTimestamp()),
            goesLiveAsIs: $draft !== null && $draft->publish_version === $draft->version,
            notPublished: $draft?->publish_refused,
            findings: $this->findings($course, $document),
        );
    }

    /** @return list<Sentence> of the rules that are shown, the draft's where there is one */
    private function findings(Course $course, CourseDocument $document): array
    {
        $words = new FindingWords($this->plans->of($document)->course, $this->clock->words(...));

        return [...array_map($words->what(...), $this->findings->open($course, $document)), ...array_map(static fn (Besides $one): Sentence => $one->what, $this->besidesRules($course, $document))];
    }

    /** @return list<Besides> what is found in what is not rules */
    public function besidesRules(Course $course, CourseDocument $document): array
    {
        return [...$this->besides->of($course, $document), ...array_map(static fn (string $said): Besides => Besides::told($said, route('keep.course-notices', $course, false)), $this->notices->ofCourse($course))];
    }

    /** @return array{?CourseDocument, ?CourseDocument} live, draft */
    public function documents(Course $course): array
    {
        return [
            $course->liveRevision === null ? null : $this->plans->named(CourseDocument::fromJson($course->liveRevision->document)),
            $course->draft === null ? null : $this->plans->named(CourseDocument::fromJson($course->draft->document)),
        ];
    }

    public static function entryWords(CourseDocument $document): string
    {
        return match ($document->read()->entry()) {
            'anyone' => Say::text('pages.course_head_builder.open_to_anyone'),
            'signup' => Say::text('pages.course_head_builder.whoever_signs_up'),
            'offer' => Say::text('pages.course_head_builder.by_offer'),
            default => Say::text('pages.course_head_builder.by_invitation'),
        };
    }

    /** @return list<SentencePart> who gets in, in a sentence */
    private function doors(CourseDocument $document): array
    {
        $course = $document->read();
        $guest = $course->guestDoor();
        $observer = $course->observerDoor();
        $sentence = Sentence::say('pages.course_head_builder.doors', [
            'guests' => $guest->open && ! $guest->default ? 'marked' : 'all',
            'observers' => match (true) {
                ! $observer->open => 'none',
                $observer->follow => 'follow',
                default => 'marked',
            },
        ], [
            'entry' => self::entryWords($document),
            'guest' => Say::text(match (true) {
                ! $guest->open => 'pages.course_head_builder.shut',
                $document->guestPhrase() === null => 'pages.course_head_builder.open',
                default => 'pages.course_head_builder.open_with_phrase',
            }),
            'observer' => Say::text($observer->open ? 'pages.course_head_builder.open' : 'pages.course_head_builder.shut'),
            'season' => self::season($course),
        ]);

        return $sentence->segments;
    }

    private static function season(DocumentCourse $course): string
    {
        [$opens, $closes] = [$course->opens(), $course->closes()];

        return match (true) {
            $opens === null && $closes === null => Say::text('pages.course_head_builder.no_season'),
            $opens === null => Say::text('pages.course_head_builder.until_local', ['local' => RuleWords::local($closes)]),
            $closes === null => Say::text('pages.course_head_builder.from_local', ['local' => RuleWords::local($opens)]),
            default => Say::text('pages.course_head_builder.season_local_to_local2', ['local' => RuleWords::local($opens), 'local2' => RuleWords::local($closes)]),
        };
    }
}
