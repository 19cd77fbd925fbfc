<?php

declare(strict_types=1);

namespace App\Pages\Contents;

use OpenApi\Attributes as OA;
use SilentKeep\Core\Outline\Kind;

/** What one item holds, to be changed. */
#[OA\Schema]
final readonly class ContentForm
{
    /**
     * @param  string  $text  Markdown
     * @param  list<QuizEntry>  $quiz
     * @param  QuizRulesForm  $rules  of the quiz
     * @param  list<ContentMedium>  $media
     * @param  ?int  $minutes  that it takes, as its author says; null: as reckoned
     * @param  string  $cover  of a module: token of a picture; empty: it has none
     * @param  int  $focusX  what of it is kept in view, in per cent from the left
     * @param  int  $focusY  from the top
     * @param  int  $version  0: nothing was written yet
     * @param  bool  $drafted  what stands here goes live with the draft of the course, and is not live yet
     * @param  int  $draftedVersion  how often it was drafted
     * @param  list<EarlierContent>  $earlier  the latest first
     * @param  ?string  $missing  what the item is finished by and does not hold
     */
    public function __construct(
        #[OA\Property] public string $key,
        #[OA\Property] public string $title,
        #[OA\Property(enum: Kind::class)] public string $kind,
        #[OA\Property] public string $text,
        #[OA\Property(enum: ['', 'announcements', 'calendar', 'discussion', 'marks'])] public string $board,
        #[OA\Property(items: new OA\Items(ref: QuizEntry::class))] public array $quiz,
        #[OA\Property] public QuizRulesForm $rules,
        #[OA\Property(items: new OA\Items(ref: ContentMedium::class))] public array $media,
        #[OA\Property] public ?int $minutes,
        #[OA\Property] public string $cover,
        #[OA\Property] public int $focusX,
        #[OA\Property] public int $focusY,
        #[OA\Property] public int $version,
        #[OA\Property] public bool $drafted,
        #[OA\Property] public int $draftedVersion,
        #[OA\Property(items: new OA\Items(ref: EarlierContent::class))] public array $earlier,
        #[OA\Property] public ?string $missing,
    ) {
    }
}
