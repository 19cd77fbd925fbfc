<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Http\Api\Document\Operation;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Http\Api\Reading\VantageList;
use App\Models\Course;
use App\Pages\Api\Decisions\SightlinesTold;
use App\Pages\Api\Decisions\SightlinesToldBuilder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A course against all kinds of viewers at once. */
final readonly class SightlinesController
{
    #[Operation('A course in the eyes of several viewers, at an instant', answers: SightlinesTold::class, says: 'Vantages: `visitor`, `guest`, `member`, `person:12`, `holder:8:KEY` (whose pass of the offer KEY began eight days ago), `diligent:8:KEY` (who has finished each lesson as soon as it opened), `labelled:LABEL:` before either, `observer:` before a person, a holder or a diligent one.')]
    #[Parameter('vantages', 'At most 30, with spaces between them. Left out: the usual ones.')]
    #[Parameter('rules', 'Which are looked at. Left out: what is published.', oneOf: ['published', 'draft'])]
    #[Parameter('at', 'The instant. Left out: now.', ParameterType::Instant)]
    public function show(Request $request, Course $course, SightlinesToldBuilder $sightlines): JsonResponse
    {
        $asked = Asked::of($request);
        $given = $asked->text('vantages');

        return new JsonResponse($sightlines->told($course, $given === null ? null : VantageList::read($given, 'vantages'), $asked->text('rules') === 'draft', $asked->number('at')) ?? throw new Problem(ProblemKind::NotFound), 200, ['Cache-Control' => 'no-store, private']);
    }
}
