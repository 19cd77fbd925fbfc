<?php

declare(strict_types=1);

namespace App\Pages\Checks;

use App\Sightlines\Why\FixByRule;
use App\Words\Sentence;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Checks\CheckKind;
use SilentKeep\Core\Checks\Level;

/** One finding, whom it touches and what would put it right. */
#[OA\Schema]
final readonly class FindingRow
{
    /**
     * @param  string  $subject  digest by which it is accepted
     * @param  string  $cause  digest of the rules that make it so
     * @param  ?int  $touched  people; null: nobody who could be counted, or not counted yet
     * @param  bool  $counts  whether anybody is counted for it
     * @param  list<FixByRule>  $fixes  of the draft, made together; none where somebody has to choose
     * @param  ?Sentence  $mend  what they do
     * @param  string  $where  address of where it is set
     */
    public function __construct(
        #[OA\Property] public string $subject,
        #[OA\Property] public string $cause,
        #[OA\Property(enum: CheckKind::class)] public string $check,
        #[OA\Property(enum: Level::class)] public string $level,
        #[OA\Property] public Sentence $what,
        #[OA\Property] public string $why,
        #[OA\Property] public ?int $touched,
        #[OA\Property] public bool $counts,
        #[OA\Property(items: new OA\Items(ref: FixByRule::class))] public array $fixes,
        #[OA\Property] public ?Sentence $mend,
        #[OA\Property] public string $where,
        #[OA\Property] public string $whereWords,
    ) {
    }
}
