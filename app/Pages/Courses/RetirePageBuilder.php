<?php

declare(strict_types=1);

namespace App\Pages\Courses;

use App\Drafts\Retiring\LearnersKeep;
use App\Models\Bundle;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Offer;
use App\Models\Retirement;
use App\Notices\NoticeCase;
use App\Notices\NoticeLevel;
use App\Notices\NoticeTexts;
use App\Pages\Learner\FrontPageBuilder;
use App\Pages\Workspace\SightlinesPageBuilder;
use App\Sightlines\Vantages\RulesVersion;

/** Puts together what is seen of the end of a course. */
final readonly class RetirePageBuilder
{
    public function __construct(private HoldersNow $holders, private NoticeTexts $notices, private FrontPageBuilder $front)
    {
    }

    public function page(Course $course, bool $mayEdit): RetirePage
    {
        $document = SightlinesPageBuilder::seen($course, RulesVersion::Draft);
        $live = $course->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document)->read();
        $isRetired = $live?->state() === 'retired';
        $planned = $document->read()->state() === 'retired' && ! $isRetired;
        $with = $planned ? Retirement::of($course->retirement) : null;
        $words = $this->notices->at($course, [], [], NoticeCase::CourseRetired)[0] ?? null;
        $address = $with === null ? $course->address : $with->address;

        return new RetirePage(
            course: $course->key,
            title: $document->title(),
            version: $course->draft->version ?? 0,
            isRetired: $isRetired,
            isLive: $live !== null && $live->state() !== 'draft',
            isPlanned: $planned,
            keep: self::keep($document, $with)->value,
            lastDay: self::lastDay($document),
            holders: $this->holders->all()[$course->id] ?? 0,
            sold: self::names(Offer::query()->where('course_id', $course->id)->whereNotNull('price')->orderBy('id')->pluck('name')->all()),
            bundles: self::names(Bundle::query()->whereHas('offers', static fn ($query) => $query->where('course_id', $course->id))->orderBy('id')->pluck('name')->all()),
            guestsOpen: $live?->guestDoor()->open === true,
            observersOpen: $live?->observerDoor()->open === true,
            heading: $words === null || $words->text->heading === '' ? null : $words->text->heading,
            words: ($words->level ?? NoticeLevel::Usual)->value,
            instead: array_map(static fn ($other): string => $other->title, $this->front->insteadOf($course)),
            subject: $course->subject,
            subjects: self::names(Course::query()->where('subject', '!=', '')->distinct()->orderBy('subject')->pluck('subject')->all()),
            takes: $with->takesNextRun ?? $course->takes_next_run,
            listed: $with->listed ?? $course->listed_over,
            usualAddress: $course->key,
            address: $address ?? '',
            oldAddress: $with->oldAddress ?? ($course->old_address === 'nothing' ? 'nothing' : 'closing'),
            mayEdit: $mayEdit,
        );
    }

    private static function keep(CourseDocument $document, ?Retirement $with): LearnersKeep
    {
        $course = $document->read();

        return match (true) {
            $course->state() !== 'retired' => LearnersKeep::Pass,
            ! $course->keepAfterRetiring() => LearnersKeep::Nothing,
            $course->closes() !== null => LearnersKeep::Day,
            $with?->forGood === true => LearnersKeep::Good,
            default => LearnersKeep::Pass,
        };
    }

    /** The day before that at whose beginning it closes; null where it does not, or at another hour. */
    private static function lastDay(CourseDocument $document): ?string
    {
        $closes = $document->read()->state() === 'retired' ? $document->read()->closes() : null;

        return $closes === null || ! str_ends_with($closes, 'T00:00') ? null : (new \DateTimeImmutable($closes, new \DateTimeZone('UTC')))->modify('-1 day')->format('Y-m-d');
    }

    /**
     * @param  array<array-key, mixed>  $names
     * @return list<string>
     */
    private static function names(array $names): array
    {
        return array_values(array_filter($names, is_string(...)));
    }
}
