<?php

declare(strict_types=1);

namespace App\Pages\Today;

use App\Models\Content;
use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentItem;
use App\Models\NoticeText;
use App\Models\Offer;
use App\Models\Pass;
use App\Words\Say;

/** Where a school begins: what there is to be done until a visitor can look at a course and take it. They are told until somebody holds a pass. */
final readonly class FirstSteps
{
    /** @return list<FirstStep> none where somebody holds a pass already */
    public function steps(): array
    {
        if (Pass::query()->exists()) {
            return [];
        }
        $course = Course::query()->with(['liveRevision', 'draft'])->orderBy('id')->first();
        $live = $course?->liveRevision === null ? null : CourseDocument::fromJson($course->liveRevision->document);
        $document = $course?->draft === null ? $live : CourseDocument::fromJson($course->draft->document);
        $items = $document?->readItems() ?? [];
        $lessons = array_filter($items, static fn (DocumentItem $item): bool => $item->isLesson());
        $offers = $course === null ? collect() : Offer::query()->where('course_id', $course->id)->get();
        $begun = $course !== null && $lessons !== [];

        return [
            self::step('course', $course !== null, route('keep.courses', absolute: false)),
            self::step('outline', $begun, $course === null ? null : route('keep.course', $course, false)),
            self::step('words', $course !== null && Content::query()->where('course_id', $course->id)->where(static fn ($query) => $query->where('text', '!=', '')->orWhereNotNull('drafted'))->exists(), $begun ? route('keep.contents', ['course' => $course, 'item' => array_key_first($lessons)], false) : null),
            self::step('offer', $offers->contains(static fn (Offer $offer): bool => ! $offer->trial && $offer->price !== null) && $document?->read()->entry() === 'offer', $begun ? route('keep.offers', ['course' => $course->key], false).'#'.$course->key : null),
            self::step('trial', $offers->contains(static fn (Offer $offer): bool => $offer->trial), $begun ? route('keep.offers', ['course' => $course->key], false).'#'.$course->key : null),
            self::step('sample', array_filter($items, static fn (DocumentItem $item): bool => $item->sample() === true) !== [], $begun ? route('keep.course', ['course' => $course, 'row' => array_key_first($lessons)], false) : null),
            self::step('notice', NoticeText::query()->exists(), route('keep.notices', absolute: false)),
            self::step('publish', $live?->read()->state() === 'live' && $live->readOffers() !== [], $begun && $course->draft !== null ? route('keep.rehearsal', $course, false) : null),
            self::step('look', done: false, href: $live?->read()->state() === 'live' ? route('course', $course, false) : null),
        ];
    }

    private static function step(string $key, bool $done, ?string $href): FirstStep
    {
        return new FirstStep($key, Say::text("today_told.first.{$key}.title"), Say::text("today_told.first.{$key}.told"), Say::text("today_told.first.{$key}.go"), $href, $done);
    }
}
