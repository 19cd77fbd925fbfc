<?php

declare(strict_types=1);

namespace App\Pages\Learner\Closed;

use App\Learning\CourseFrame;
use App\Learning\PathRow;
use App\Notices\NoticeCase;
use App\Offers\Sales\OfferCard;
use App\Pages\Learner\OtherCourse;
use App\Words\Glyph;
use App\Words\Sentence;
use OpenApi\Attributes as OA;

/** What stands in the place of a closed item. */
#[OA\Schema]
final readonly class NoticePage
{
    /**
     * @param  string  $item  its key
     * @param  string  $case  the kind of closed door
     * @param  bool  $titled  false: the heading is not to be seen
     * @param  ?string  $html  the school's own words in the place of the text, sanitised
     * @param  list<NoticePart>  $parts  what stands there, in order
     * @param  ?string  $signIn  where to sign in and come back
     * @param  list<OfferCard>  $offers  that would open this very item sooner than waiting does
     * @param  ?PathRow  $lookAt  something that is open to this viewer
     * @param  string  $signUp  how one asks to be told when the course runs again: none, by a form, or by one's account
     * @param  list<OtherCourse>  $instead  where the course is over: others, which are given
     */
    public function __construct(
        #[OA\Property] public CourseFrame $course,
        #[OA\Property] public string $item,
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property(enum: NoticeCase::class)] public string $case,
        #[OA\Property] public Sentence $heading,
        #[OA\Property] public bool $titled,
        #[OA\Property] public Sentence $text,
        #[OA\Property] public ?string $html,
        #[OA\Property(items: new OA\Items(ref: NoticePart::class))] public array $parts,
        #[OA\Property] public ?string $signIn,
        #[OA\Property] public ?string $contactName,
        #[OA\Property] public ?string $contactEmail,
        #[OA\Property] public ?PathRow $lookAt,
        #[OA\Property(items: new OA\Items(ref: OfferCard::class))] public array $offers,
        #[OA\Property(enum: ['none', 'form', 'account'])] public string $signUp,
        #[OA\Property(items: new OA\Items(ref: OtherCourse::class))] public array $instead,
    ) {
    }
}
