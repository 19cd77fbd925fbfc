<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** Something that is done to people: to all of them or, where it makes no sense for one, to nobody. */
#[OA\Schema]
final readonly class Act
{
    /** What each needs; of those with a stroke between them, one. */
    public const NEEDS = [
        'give' => ['offer'], 'extend' => ['pass|offer', 'days|until|good'], 'begin' => ['pass|offer'], 'pause' => ['pass|offer'], 'resume' => ['pass|offer'], 'end' => ['pass|offer'], 'withdraw' => ['pass|offer'], 'give-back' => ['pass|offer'],
        'change' => ['pass', 'offer'], 'grant' => ['course', 'item'], 'take-back' => ['grant|item'], 'finish' => ['course', 'item'], 'try' => ['course', 'item'], 'label' => ['label'], 'unlabel' => ['label'], 'observe' => ['observer'], 'unobserve' => ['observer'], 'write' => ['subject', 'body'],
    ];

    /**
     * @param  string  $do  give (a pass by `offer`), extend (a `pass`, or the one of `offer`, by `days`, to `until` or for `good`), begin (now, what was to begin later), pause, resume, end, withdraw, give-back (what was withdrawn), change (a `pass` to another `offer`), grant (an `item` of a `course`, to `until`), take-back (a `grant`, or those of an `item`), finish (an `item` of a `course`, marked so with a `note`), try (one more at the quiz of an `item` of a `course`), label, unlabel, observe (the people are looked in on by `observer`), unobserve, write (`subject`, `body`)
     * @param  list<int>  $people  their ids; twice the same is once
     * @param  ?string  $offer  key
     * @param  ?int  $pass  id
     * @param  ?int  $grant  id
     * @param  ?string  $course  key
     * @param  ?string  $item  key
     * @param  ?string  $from  beginning of a pass; null or left out: now
     * @param  ?string  $until  end of a pass, a grant or a label
     * @param  ?int  $days  by which a pass is extended
     * @param  bool  $good  whether a pass is extended for good
     * @param  bool  $anew  whether the days of a new pass count from its own beginning, though an earlier one would carry its pacing on
     * @param  bool  $stops  whether the days of a paused pass are not counted meanwhile
     * @param  ?int  $observer  id
     * @param  ?string  $note  why an item is marked as finished, for their history
     */
    public function __construct(
        #[OA\Property(enum: ['give', 'extend', 'begin', 'pause', 'resume', 'end', 'withdraw', 'give-back', 'change', 'grant', 'take-back', 'finish', 'try', 'label', 'unlabel', 'observe', 'unobserve', 'write'])] public string $do,
        #[OA\Property(minItems: 1, maxItems: 2000, items: new OA\Items(type: 'integer', minimum: 1, maximum: 2147483647))] public array $people,
        #[OA\Property(minLength: 1, maxLength: 200)] public ?string $offer = null,
        #[OA\Property(minimum: 1, maximum: 2147483647)] public ?int $pass = null,
        #[OA\Property(minimum: 1, maximum: 2147483647)] public ?int $grant = null,
        #[OA\Property(minLength: 1, maxLength: 200)] public ?string $course = null,
        #[OA\Property(minLength: 1, maxLength: 200)] public ?string $item = null,
        #[OA\Property(format: 'date-time')] public ?string $from = null,
        #[OA\Property(format: 'date-time')] public ?string $until = null,
        #[OA\Property(minimum: 1, maximum: 3660)] public ?int $days = null,
        #[OA\Property] public bool $good = false,
        #[OA\Property] public bool $anew = false,
        #[OA\Property] public bool $stops = false,
        #[OA\Property(pattern: '^[^,]*[^,\s][^,]*$', minLength: 1, maxLength: 60)] public ?string $label = null,
        #[OA\Property(minimum: 1, maximum: 2147483647)] public ?int $observer = null,
        #[OA\Property(minLength: 1, maxLength: 200)] public ?string $note = null,
        #[OA\Property(minLength: 1, maxLength: 200)] public ?string $subject = null,
        #[OA\Property(minLength: 1, maxLength: 20000)] public ?string $body = null,
    ) {
    }

    /** @return list<string> those that it needs and does not have */
    public function missing(): array
    {
        $given = get_object_vars($this);
        $is = static fn (string $one): bool => ($given[$one] ?? null) !== null && $given[$one] !== false;

        return array_values(array_map(static fn (string $of): string => explode('|', $of)[0], array_filter(self::NEEDS[$this->do] ?? [], static fn (string $of): bool => array_filter(explode('|', $of), $is) === [])));
    }

    /** @return array<string, mixed> as a form of the administrator's side has it */
    public function form(): array
    {
        return array_filter(array_diff_key(get_object_vars($this), ['people' => true]), static fn (mixed $one): bool => $one !== null && $one !== false);
    }
}
