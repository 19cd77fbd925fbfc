<?php

declare(strict_types=1);

namespace App\Pages\People;

use OpenApi\Attributes as OA;

/** What happens to some of the people. */
#[OA\Schema]
final readonly class ActOutcome
{
    /**
     * @param  bool  $changes  false: they are left as they are
     * @param  list<string>  $names  the first of them
     */
    public function __construct(
        #[OA\Property] public string $words,
        #[OA\Property] public int $count,
        #[OA\Property] public bool $changes,
        #[OA\Property(items: new OA\Items(type: 'string'))] public array $names,
    ) {
    }

    /**
     * @param  array<array-key, array{count: int, changes: bool, names: list<string>}>  $outcomes
     * @return list<self>
     */
    public static function listOf(array $outcomes): array
    {
        $told = [];
        foreach ($outcomes as $words => $outcome) {
            $told[] = new self((string) $words, $outcome['count'], $outcome['changes'], $outcome['names']);
        }

        return $told;
    }
}
