<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use App\Models\Document\DocumentCondition;
use OpenApi\Attributes as OA;

/** The rules of one row. */
#[OA\Schema]
final readonly class RuleRow implements \JsonSerializable
{
    /**
     * @param  ?OpeningRule  $opening  null: no rule of its own
     * @param  ?string  $afterWords  what must be finished first; null: nothing is set
     * @param  ?bool  $turn  true: what it stands in opens one thing after the other
     * @param  ?list<string>  $tiers  null: every pass
     * @param  ?DocumentCondition  $only  as the plan format has it; null: everyone
     * @param  ?string  $onlyWords  the condition as a sentence
     * @param  ?HeldUp  $holdsUp  where it is for a label, who has it and must finish it first
     * @param  ?FinishRule  $finish  null: nothing that is finished by itself
     */
    public function __construct(
        #[OA\Property] public RuleCell $opens,
        #[OA\Property(x: ['optional' => true])] public ?OpeningRule $opening,
        #[OA\Property] public RuleCell $closes,
        #[OA\Property(x: ['optional' => true])] public ?OpeningRule $closing,
        #[OA\Property] public RuleCell $after,
        #[OA\Property(x: ['optional' => true])] public ?AfterRule $afterRule,
        #[OA\Property(x: ['optional' => true])] public ?string $afterWords,
        #[OA\Property(x: ['optional' => true])] public ?bool $turn,
        #[OA\Property] public RuleCell $forWhom,
        #[OA\Property(items: new OA\Items(type: 'string'), x: ['optional' => true])] public ?array $tiers,
        #[OA\Property(type: 'object', x: ['optional' => true])] public ?DocumentCondition $only,
        #[OA\Property(x: ['optional' => true])] public ?string $onlyWords,
        #[OA\Property] public RuleCell $optional,
        #[OA\Property(x: ['optional' => true])] public ?HeldUp $holdsUp,
        #[OA\Property] public RuleCell $sample,
        #[OA\Property] public RuleCell $guests,
        #[OA\Property] public RuleCell $observers,
        #[OA\Property] public RuleCell $whenClosed,
        #[OA\Property(x: ['optional' => true])] public ?FinishRule $finish,
    ) {
    }

    /** @return array<string, mixed> without what is not set */
    public function jsonSerialize(): array
    {
        return array_filter(get_object_vars($this), static fn (mixed $value): bool => $value !== null);
    }
}
