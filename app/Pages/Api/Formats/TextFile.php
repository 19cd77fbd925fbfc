<?php

declare(strict_types=1);

namespace App\Pages\Api\Formats;

use OpenApi\Attributes as OA;

/** A file as its own format has it. */
#[OA\Schema(type: 'string')]
final readonly class TextFile
{
}
