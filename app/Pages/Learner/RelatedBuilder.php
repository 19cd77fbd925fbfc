<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Access\Viewers;
use App\Learning\LearnerView;
use App\Learning\LearnerViews;
use App\Models\Course;
use App\Models\Person;
use App\Models\RelatedOffer;
use App\Offers\Sales\Shop;
use App\Offers\Takers;
use App\Pages\Shared\ReadyTexts;
use App\School\Pictures\Pictures;

/** What of another course is put before the reader of a page: only where they do not have it and may take it now. */
final readonly class RelatedBuilder
{
    public function __construct(private LearnerViews $views, private Viewers $viewers, private Shop $shop, private Takers $takers, private Pictures $pictures, private ReadyTexts $texts)
    {
    }

    /**
     * @param  string  $item  key of the lesson; empty: the page of the course
     * @param  ?Person  $reader  who reads it, where that is somebody real
     */
    public function at(Course $course, LearnerView $view, string $item, ?Person $reader): ?RelatedCard
    {
        $viewer = $view->answer->viewer;
        // Whoever looks with somebody, or runs the school, takes nothing.
        $related = $viewer->staff || $viewer->observes !== null ? null : RelatedOffer::query()->with('other.liveRevision')->where('course_id', $course->id)->where('item_key', $item)->first();
        if ($related === null || $related->other->hidden) {
            return null;
        }
        $there = $this->views->published($related->other, match (true) {
            $reader !== null => $this->viewers->of($reader, $related->other),
            $viewer->signedIn => Viewers::member(),
            default => Viewers::visitor(),
        }, at: $view->answer->at);
        if ($there === null || $there->answer->isOver() || $there->isInside()) {
            return null;
        }
        $cards = $this->shop->offersOf($there->answer, $related->other, $this->takers->of($reader, $there->answer));
        if ($cards === []) {
            return null;
        }

        return new RelatedCard(
            $related->other->getRouteKey(), $there->title(), $related->heading, $this->texts->one("beside {$related->id}", $related->text), $related->button,
            count($cards) === 1 ? $cards[0]->href : route('course', $related->other, false),
            $cards[0]->name, $cards[0]->price, count($cards) > 1, $related->picture === null ? null : $this->pictures->find($related->picture),
        );
    }
}
