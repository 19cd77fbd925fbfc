<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Http\Api\Document\Operation;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Http\Api\Reading\VantageList;
use App\Models\Course;
use App\Models\CsvForm;
use App\Pages\Api\Formats\TextFile;
use App\Sightlines\SightFiles;
use App\Sightlines\Vantages\SeenFrom;
use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Words\Say;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilentKeep\Core\Deciding\Decider;

/** What is published, as files that others read. */
final readonly class FormatsController
{
    public function __construct(private Plans $plans, private Vantages $vantages, private SightFiles $files, private SchoolClock $clock)
    {
    }

    #[Operation('Openings and closings of a course for one viewer, as iCalendar', answers: TextFile::class, type: 'text/calendar')]
    #[Parameter('vantage', 'Who looks, as in Sightlines.', required: true)]
    public function calendar(Request $request, Course $course): Response
    {
        $decider = $this->decider($course);
        $seen = $this->stand($course, $decider, VantageList::read((string) Asked::of($request)->text('vantage'), 'vantage'))[0] ?? throw Problem::parameter('vantage', Say::text('interface.gone.vantage'));

        return new Response($this->files->calendar($decider, $seen, $this->clock->now(), $course->liveRevision?->published_at->getTimestamp() ?? 0, $course->last_draft_version), 200, ['Content-Type' => 'text/calendar; charset=utf-8']);
    }

    #[Operation('A course in the eyes of several viewers, as CSV', answers: TextFile::class, type: 'text/csv')]
    #[Parameter('vantages', 'At most 30, with spaces between them. Left out: the usual ones.')]
    #[Parameter('at', 'The instant. Left out: now.', ParameterType::Instant)]
    public function sightlines(Request $request, Course $course): Response
    {
        $asked = Asked::of($request);
        $decider = $this->decider($course);
        $given = $asked->text('vantages');
        $seen = $this->stand($course, $decider, $given === null ? $this->vantages->usual($decider) : VantageList::read($given, 'vantages'));

        return new Response(CsvForm::text($this->files->grid($course, $decider, $seen, $asked->number('at') ?? $this->clock->now(), published: true)), 200, ['Content-Type' => 'text/csv; charset=utf-8']);
    }

    /** @throws Problem */
    private function decider(Course $course): Decider
    {
        return $this->plans->live($course) ?? throw new Problem(ProblemKind::NotFound, Say::text('interface.gone.published'));
    }

    /**
     * @param  list<VantagePoint>  $points
     * @return list<SeenFrom>
     */
    private function stand(Course $course, Decider $decider, array $points): array
    {
        return $this->vantages->stand($course, $decider, $points);
    }
}
