<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Pages\Learner\NoticePart;
use OpenApi\Attributes as OA;

/** Words with their placeholders filled in, as somebody might meet them. */
#[OA\Schema]
final readonly class NoticePreview
{
    /**
     * @param  string  $html  sanitised
     * @param  list<NoticePart>  $parts  as they are typed, in order
     * @param  list<string>  $unknown  words in braces that stand for nothing
     */
    public function __construct(
        #[OA\Property] public string $heading,
        #[OA\Property] public string $html,
        #[OA\Property(items: new OA\Items(ref: NoticePart::class))] public array $parts,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $unknown,
    ) {
    }
}
