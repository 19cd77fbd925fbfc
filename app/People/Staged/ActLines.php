<?php

declare(strict_types=1);

namespace App\People\Staged;

use App\People\Acts\ActStep;
use App\People\Acts\PeopleAct;

/** What the activity log says of an act, a line for each person. */
final class ActLines
{
    /**
     * @param  int  $at  instant
     * @return array<string, mixed> columns
     */
    public static function of(PeopleAct $act, ActStep $step, ?int $actor, int $at): array
    {
        $json = static fn (array $told): ?string => $told === [] ? null : json_encode($told, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);

        return [
            'actor_id' => $actor, 'course_id' => $step->courseId, 'person_id' => $step->personId, 'action' => $act->name(),
            'before' => $json($step->before), 'after' => $json($step->after), 'happened_at' => gmdate('Y-m-d H:i:s', $at),
        ];
    }
}
