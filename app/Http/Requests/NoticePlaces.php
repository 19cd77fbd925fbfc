<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Course;
use App\Models\CourseDocument;
use App\Models\Document\DocumentOffer;
use App\Notices\NoticePlace;
use Illuminate\Http\Request;

/** Reads at which item of a course, and for the holders of which offer, words of a notice are to stand. */
final class NoticePlaces
{
    private function __construct()
    {
    }

    /** What is not there in the draft nor live is not found. */
    public static function of(Request $request, Course $course): NoticePlace
    {
        $item = $request->input('item');
        $offer = $request->input('offer');
        [$item, $offer] = [is_string($item) && $item !== '' ? $item : null, is_string($offer) && $offer !== '' ? $offer : null];
        $documents = array_map(CourseDocument::fromJson(...), array_values(array_filter([$course->liveRevision?->document, $course->draft?->document], is_string(...))));
        $items = array_merge([], ...array_map(static fn (CourseDocument $document): array => array_map(strval(...), array_keys($document->readItems())), $documents));
        $offers = array_merge([], ...array_map(static fn (CourseDocument $document): array => array_map(static fn (DocumentOffer $one): string => $one->key(), $document->readOffers()), $documents));
        abort_if(($item !== null && ! in_array($item, $items, true)) || ($offer !== null && ! in_array($offer, $offers, true)), 404);

        return NoticePlace::at($course, $item, $offer);
    }
}
