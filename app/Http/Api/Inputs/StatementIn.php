<?php

declare(strict_types=1);

namespace App\Http\Api\Inputs;

use OpenApi\Attributes as OA;

/** An xAPI statement (1.0.3) about a lesson, part or board of a published course. What else it says is kept with it. */
#[OA\Schema(schema: 'Statement', additionalProperties: true)]
final readonly class StatementIn
{
    /**
     * @param  object  $actor  an agent, by `mbox`, or by an `account` whose homePage is the address of this school, and its name the id of a person
     * @param  object  $verb  by `completed`, `passed` and `mastered` the item counts as finished, unless the result says that it is not
     * @param  object  $object  an activity, whose id is the address of the lesson: /courses/KEY/ITEM below that of the school
     * @param  ?string  $id  a UUID; left out: it gets one
     * @param  ?string  $timestamp  since when it is finished; left out: now
     */
    public function __construct(
        #[OA\Property(type: 'object')] public object $actor,
        #[OA\Property(type: 'object')] public object $verb,
        #[OA\Property(type: 'object')] public object $object,
        #[OA\Property(format: 'uuid')] public ?string $id = null,
        #[OA\Property(format: 'date-time')] public ?string $timestamp = null,
    ) {
    }
}
