<?php

declare(strict_types=1);

namespace App\Pages\Learner;

use App\Learning\Contents\MediumCard;
use App\Learning\CourseFrame;
use App\Learning\DateRow;
use App\Learning\PathRow;
use OpenApi\Attributes as OA;

/** An open board. */
#[OA\Schema]
final readonly class BoardPage
{
    /**
     * @param  string  $board  announcements, calendar, discussion or marks
     * @param  string  $html  sanitised
     * @param  list<MediumCard>  $media
     * @param  list<DateRow>  $dates
     * @param  ?string  $calendar  the private address to subscribe to; null: none was made
     * @param  bool  $canSubscribe  this viewer may have one made
     * @param  list<PostRow>  $posts  the newest last
     * @param  bool  $canPost
     * @param  list<MarkRow>  $marks
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public PathRow $item,
        #[OA\Property(enum: ['announcements', 'calendar', 'discussion', 'marks'])] public string $board,
        #[OA\Property] public string $html,
        #[OA\Property(items: new OA\Items(ref: MediumCard::class))] public array $media,
        #[OA\Property(items: new OA\Items(ref: DateRow::class))] public array $dates,
        #[OA\Property] public ?string $calendar,
        #[OA\Property] public bool $canSubscribe,
        #[OA\Property(items: new OA\Items(ref: PostRow::class))] public array $posts,
        #[OA\Property] public bool $canPost,
        #[OA\Property(items: new OA\Items(ref: MarkRow::class))] public array $marks,
    ) {
    }
}
