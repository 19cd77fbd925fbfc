<?php

declare(strict_types=1);

namespace App\Pages\Shared;

use App\Database\Value;
use App\Models\PeopleCount;
use App\Words\Say;
use OpenApi\Attributes as OA;
use SilentKeep\Core\Foresight\Effect;

/** What a change does to the people of one course, as far as it is counted. */
#[OA\Schema]
final readonly class ImpactLine
{
    public function __construct(#[OA\Property] public string $text, #[OA\Property] public bool $done)
    {
    }

    /**
     * @param  list<array{string, PeopleCount}>  $courses  the title of each, and what App\Counting\CountedImpact has counted there
     * @return list<self>
     */
    public static function each(array $courses): array
    {
        return array_map(static function (array $one): self {
            [$course, $count] = $one;
            $of = static fn (Effect $effect): int => Value::int($count->result[$effect->value] ?? 0);

            return $count->finished_at === null
                ? new self(Say::text('school_told.counted.so_far', ['course' => $course, 'looked' => $count->looked, 'of' => $count->of]), done: false)
                : new self(Say::text('school_told.counted.all', [
                    'course' => $course, 'of' => $count->of, 'any' => Value::int($count->result['any'] ?? 0), 'gain' => $of(Effect::Gain), 'lose' => $of(Effect::Lose),
                    'sooner' => $of(Effect::Sooner), 'later' => $of(Effect::Later), 'never' => $of(Effect::Never),
                ]), done: true);
        }, $courses);
    }
}
