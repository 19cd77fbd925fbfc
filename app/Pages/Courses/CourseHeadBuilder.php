<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Draft;
use App\Sightlines\Vantages\Look;
use App\Words\RuleWords;
use App\Words\Sentence;
use App\Words\SentencePart;

/** What stands above every page of a course for those who look after it, and what all of them read. */
final readonly class CourseHeadBuilder
{
    public function __construct(private Plans $plans, private SchoolClock $clock)
    {
    }

    public function of(Course $course, CourseDocument $document): CourseHead
    {
        $undone = $course->draft?->edits()->whereNotNull('undone_from')->count() ?? 0;

        $draft = $course->draft;

        return new CourseHead(
            $course->key, $document->title(), self::text($document->course, 'state'), $this->doors($document),
            $course->liveRevision?->number, $draft->version ?? 0, ($draft?->edits()->count() ?? 0) - $undone, $undone,
            goesLive: $draft?->publish_at === null ? null : $this->clock->words($draft->publish_at->getTimestamp()),
            goesLiveAsIs: $draft !== null && $draft->publish_version === $draft->version,
            notPublished: $draft?->publish_refused,
        );
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
        return match (self::text($document->course, 'entry')) {
            'anyone' => 'Open to anyone',
            'signup' => 'Whoever signs up',
            'offer' => 'By offer',
            default => 'By invitation',
        };
    }

    /** @return list<SentencePart> who gets in, in a sentence */
    private function doors(CourseDocument $document): array
    {
        $course = $document->course;
        $guest = ($course->guest_door ?? null) instanceof \stdClass ? $course->guest_door : new \stdClass;
        $observer = ($course->observer_door ?? null) instanceof \stdClass ? $course->observer_door : new \stdClass;
        $guestOpen = ($guest->open ?? false) === true;
        $observerOpen = ($observer->open ?? false) === true;
        $sentence = Sentence::of(
            '{} · guest door {}'.($guestOpen && ($guest->default ?? false) !== true ? ', only where marked' : '')
            .' · observer door {}'.($observerOpen ? (($observer->follow ?? true) === true ? ', observers follow their learner' : ', observers see what is marked') : '').' · {}',
            self::entryWords($document),
            $guestOpen ? ($document->guestPhrase() === null ? 'open' : 'open with a pass phrase') : 'shut',
            $observerOpen ? 'open' : 'shut',
            self::season($course),
        );

        return $sentence->segments;
    }

    private static function season(\stdClass $course): string
    {
        $opens = $course->opens ?? null;
        $closes = $course->closes ?? null;

        return match (true) {
            $opens === null && $closes === null => 'no season',
            $opens === null => 'until '.RuleWords::local($closes),
            $closes === null => 'from '.RuleWords::local($opens),
            default => 'season '.RuleWords::local($opens).' to '.RuleWords::local($closes),
        };
    }

    public static function text(\stdClass $from, string $key): string
    {
        $value = $from->{$key} ?? '';

        return is_string($value) ? $value : '';
    }
}
