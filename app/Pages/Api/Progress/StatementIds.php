<?php

declare(strict_types=1);

namespace App\Pages\Api\Progress;

use OpenApi\Attributes as OA;

/** Ids of statements, in the order in which they were sent. */
#[OA\Schema(type: 'array', items: new OA\Items(type: 'string', format: 'uuid'))]
final readonly class StatementIds
{
}
