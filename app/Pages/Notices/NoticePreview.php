<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Pages\Learner\Closed\NoticePage;
use App\Pages\Learner\Closed\NoticePart;
use OpenApi\Attributes as OA;

/** Words with their placeholders filled in, as somebody might meet them. */
#[OA\Schema]
final readonly class NoticePreview
{
    /**
     * @param  string  $html  sanitised
     * @param  list<NoticePart>  $parts  as they are typed, in order
     * @param  list<string>  $unknown  words in braces that stand for nothing
     * @param  list<string>  $findings  what leads nowhere, in sentences
     * @param  ?NoticePage  $met  as the vantage that was asked for meets it
     * @param  ?string  $told  where that is, or why there is none
     */
    public function __construct(
        #[OA\Property] public string $heading,
        #[OA\Property] public string $html,
        #[OA\Property(items: new OA\Items(ref: NoticePart::class))] public array $parts,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $unknown,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $findings = [],
        #[OA\Property] public ?NoticePage $met = null,
        #[OA\Property] public ?string $told = null,
    ) {
    }
}
