<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\SchoolClock;
use App\Http\Api\Document\Operation;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Ledger\Changes\WhatChanged;
use App\Ledger\Past\PastLooker;
use App\Models\Course;
use App\Pages\Api\Courses\ChangesTold;
use App\Pages\Api\Decisions\PastDecisions;
use App\Pages\Api\Decisions\PastDecisionsBuilder;
use App\Pages\Changed\ChangedPageBuilder;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use SilentKeep\Core\Time\Instant;

/** What somebody could see. */
final readonly class PastController
{
    public function __construct(private SchoolClock $clock, private PastDecisionsBuilder $decisions)
    {
    }

    #[Operation('What one viewer could see of a course, at an instant that is past', answers: PastDecisions::class, says: 'By the rules and by what was known then, as the ledger has it. Name a `person`, who need not be there any more, or a `kind` of viewer.')]
    #[Parameter('course', 'Key of the course.', required: true)]
    #[Parameter('at', 'The instant: not one to come.', ParameterType::Instant, required: true)]
    #[Parameter('person', 'Id of whoever looked.', ParameterType::Number)]
    #[Parameter('observes', 'Id of the learner with whom that person looked; left aside where they were not tied to them then.', ParameterType::Number)]
    #[Parameter('kind', 'Somebody who held nothing: not signed in, or come by the guest link.', oneOf: ['visitor', 'guest'])]
    #[Parameter('words', 'Whether what was not open says why in words.', ParameterType::Flag)]
    public function show(Request $request): JsonResponse
    {
        $asked = Asked::of($request);
        $course = Course::query()->where('key', $asked->text('course'))->first() ?? throw Problem::parameter('course', Say::text('interface.gone.course'));
        $at = (int) $asked->number('at');
        if ($at > $this->clock->now()) {
            throw Problem::parameter('at', Say::text('interface.parameters_told.past'));
        }
        $kind = $asked->text('kind');
        if (($asked->number('person') === null) === ($kind === null)) {
            throw Problem::parameter('person', Say::text('interface.parameters_told.past_viewer'));
        }
        $told = $this->decisions->of($course, new PastLooker($asked->number('person'), $kind === 'guest', $kind === null ? $asked->number('observes') : null), $at, $asked->is('words'));

        return new JsonResponse($told ?? throw Problem::parameter('at', Say::text('interface.gone.published_then')), 200, ['Cache-Control' => 'no-store, private']);
    }

    #[Operation('Who gained and who lost at a course between two instants, and by what', answers: ChangesTold::class, says: 'As everybody stood at the one beside how they stood at the other, by the rules and by what was known then. It is counted in the queue, and answered with 202 as long as that lasts: ask again with the same instants.', also: [202 => ChangesTold::class])]
    #[Parameter('from', 'The earlier instant.', ParameterType::Instant, required: true)]
    #[Parameter('until', 'The later one: not one to come.', ParameterType::Instant, required: true)]
    public function changes(Request $request, Course $course, WhatChanged $changed, ChangedPageBuilder $told): JsonResponse
    {
        $asked = Asked::of($request);
        [$from, $until] = [(int) $asked->number('from'), (int) $asked->number('until')];
        if ($until > $this->clock->now()) {
            throw Problem::parameter('until', Say::text('interface.parameters_told.past'));
        }
        if ($from >= $until) {
            throw Problem::parameter('from', Say::text('changed_told.wrong'));
        }
        $count = $changed->of($course, $from, $until);
        $finished = $count->finished_at !== null;
        [$people, $observers] = $told->among($course, $count);

        return new JsonResponse(
            new ChangesTold($course->key, Instant::format($from), Instant::format($until), $finished, $count->looked, $count->of, $people, $observers),
            $finished ? 200 : 202, ['Cache-Control' => 'no-store, private', ...($finished ? [] : ['Retry-After' => '2'])],
        );
    }
}
