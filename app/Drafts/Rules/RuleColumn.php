<?php

declare(strict_types=1);

namespace App\Drafts\Rules;

use OpenApi\Attributes as OA;

/** A column of the Rules lens, as somebody who works on courses has arranged it. */
#[OA\Schema]
final readonly class RuleColumn
{
    public const IDS = ['opens', 'closes', 'after', 'optional', 'forWhom', 'sample', 'guests', 'observers', 'whenClosed', 'finish'];

    /** In pixels: narrower than that no word can be read, and wider than that nothing else is seen. */
    public const WIDTHS = [48, 640];

    /** @param  int  $width  in pixels */
    public function __construct(#[OA\Property(enum: self::IDS)] public string $id, #[OA\Property] public int $width)
    {
    }

    /**
     * @param  ?array<array-key, mixed>  $kept  as the database has them
     * @return list<self> what is no column any more is left out
     */
    public static function all(?array $kept): array
    {
        $columns = [];
        foreach ($kept ?? [] as $one) {
            if (is_array($one) && in_array($one['id'] ?? null, self::IDS, true) && is_int($one['width'] ?? null)) {
                $columns[$one['id']] = new self($one['id'], $one['width']);
            }
        }

        return array_values($columns);
    }
}
