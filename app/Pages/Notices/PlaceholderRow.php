<?php

declare(strict_types=1);

namespace App\Pages\Notices;

use App\Notices\Placeholders;
use App\Words\Say;
use OpenApi\Attributes as OA;

/** Something that stands in braces for a name or a date. */
#[OA\Schema]
final readonly class PlaceholderRow
{
    public function __construct(#[OA\Property] public string $name, #[OA\Property] public string $means)
    {
    }

    /** @return list<self> of what can stand in the words of a notice */
    public static function ofNotices(): array
    {
        return array_map(static fn (string $name): self => new self($name, Say::text("cases.placeholders.{$name}")), Placeholders::KNOWN);
    }
}
