<?php

declare(strict_types=1);

namespace App\Pages\Workspace;

use App\Drafts\Rules\RuleRow;
use App\Sightlines\Expectations\Expected;
use App\Sightlines\Why\BlindSpot;
use App\Sightlines\Why\Gate;
use App\Sightlines\Why\PossibleFix;
use App\Words\Glyph;
use App\Words\Sentence;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Deciding\Reason;

/** Why a cell is as it is, and what would open it. */
#[OA\Schema]
final readonly class WhyCard
{
    /**
     * @param  int  $version  of the draft; 0: there is none
     * @param  string  $word  the state in a word
     * @param  string  $summary  how many gates are shut, or by which way it is open
     * @param  ?Sentence  $otherwise  what it is by the other rules: once the draft is published, or as it is published; null: the same
     * @param  list<string>  $why  reason codes
     * @param  list<Gate>  $gates  in the order in which they are tried
     * @param  list<Sentence>  $given  who or what gave that by which it is open
     * @param  ?Sentence  $intro  of what would open it; null where it is open
     * @param  list<PossibleFix>  $ways
     * @param  ?BlindSpot  $blind  where nothing at all is open to this viewer
     * @param  ?string  $plan  the release plan of the rule
     * @param  list<Expected>  $expected  what is expected of this cell
     */
    public function __construct(
        #[OA\Property] public string $item,
        #[OA\Property] public int $version,
        #[OA\Property(enum: Glyph::class)] public string $glyph,
        #[OA\Property] public bool $look,
        #[OA\Property] public string $word,
        #[OA\Property] public string $summary,
        #[OA\Property] public ?Sentence $otherwise,
        #[OA\Property(items: new OA\Items(type: 'string', enum: Reason::class))] public array $why,
        #[OA\Property(items: new OA\Items(ref: Gate::class))] public array $gates,
        #[OA\Property(items: new OA\Items(ref: Sentence::class))] public array $given,
        #[OA\Property] public ?Sentence $intro,
        #[OA\Property(items: new OA\Items(ref: PossibleFix::class))] public array $ways,
        #[OA\Property] public ?BlindSpot $blind,
        #[OA\Property] public RuleRow $rule,
        #[OA\Property] public ?string $plan,
        #[OA\Property(items: new OA\Items(ref: Expected::class))] public array $expected,
    ) {
    }

    /**
     * Of an item that is in the draft alone, to those who look at what is live.
     *
     * @param  list<PossibleFix>  $ways
     */
    public function notLive(string $glyph, string $word, string $summary, ?Sentence $otherwise, Gate $gate, Sentence $intro, array $ways): self
    {
        return new self($this->item, $this->version, $glyph, look: false, word: $word, summary: $summary, otherwise: $otherwise, why: [], gates: [$gate], given: [], intro: $intro, ways: $ways, blind: null, rule: $this->rule, plan: $this->plan, expected: $this->expected);
    }
}
