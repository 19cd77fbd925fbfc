<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\Plans;
use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\DecideForMany;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Models\Course;
use App\Models\Person;
use App\Pages\Api\Decisions\Decisions;
use App\Pages\Api\Decisions\DecisionsBuilder;
use App\Pages\Api\Decisions\ManyDecisions;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use SilentKeep\Core\Deciding\Decider;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Viewing\Viewer;
use Symfony\Component\HttpFoundation\StreamedJsonResponse;

/** What somebody may see. */
final readonly class DecisionsController
{
    /** Decisions in one answer. */
    private const MOST = 10_000;

    private const KINDS = ['visitor', 'guest', 'member'];

    public function __construct(private Plans $plans, private Viewers $viewers, private SchoolClock $clock, private DecisionsBuilder $decisions)
    {
    }

    #[Operation('What one viewer may see of a course, at an instant', answers: Decisions::class, says: 'Name a person by `person` or `email`, or a `kind` of viewer, or an `offer` that somebody takes: exactly one of these.', headers: ['Cache-Control'])]
    #[Parameter('course', 'Key of the course.', required: true)]
    #[Parameter('item', 'Key of the only item that is asked about. Left out: all of them.')]
    #[Parameter('person', 'Id of whoever looks.', ParameterType::Number)]
    #[Parameter('email', 'Address of whoever looks.')]
    #[Parameter('observes', 'Id of the learner with whom that person looks, to whom they are tied.', ParameterType::Number)]
    #[Parameter('kind', 'Somebody who holds nothing: not signed in, come by the guest link, or signed in.', oneOf: self::KINDS)]
    #[Parameter('offer', 'Key of an offer: what whoever takes it would see.')]
    #[Parameter('from', 'Beginning of the pass by that offer. Left out: the instant that is asked about.', ParameterType::Instant)]
    #[Parameter('at', 'The instant, by the rules and by what is known today; what was told at one that is past stands at `/decisions/past`. Left out: now.', ParameterType::Instant)]
    #[Parameter('words', 'Whether what is not open says why in words.', ParameterType::Flag)]
    public function one(Request $request): JsonResponse
    {
        $asked = Asked::of($request);
        $course = Course::query()->where('key', $asked->text('course'))->first() ?? throw Problem::parameter('course', Say::text('interface.gone.course'));
        $decider = $this->plans->live($course) ?? throw Problem::parameter('course', Say::text('interface.gone.published'));
        $item = $asked->text('item');
        if ($item !== null && $decider->course->outline->positionOf($item) === null) {
            throw Problem::parameter('item', Say::text('interface.gone.item'));
        }
        $at = $asked->number('at') ?? $this->clock->now();
        [$viewer, $person] = $this->viewer($asked, $course, $decider, $at);
        $told = $this->decisions->one($course, $decider, $viewer, $person, $at, $item, $asked->is('words'));

        return new JsonResponse($told, 200, ['Cache-Control' => "private, max-age={$told->kept_for}"]);
    }

    #[Operation('What many people may see of a course, at an instant', answers: ManyDecisions::class, takes: DecideForMany::class, says: 'At most 10,000 decisions at once. Whoever is not there is named; the others are answered.')]
    public function many(Request $request): StreamedJsonResponse
    {
        $body = Body::as($request, DecideForMany::class);
        $course = Course::query()->where('key', $body->course)->first() ?? throw Problem::at('/course', Say::text('interface.gone.course'));
        $decider = $this->plans->live($course) ?? throw Problem::at('/course', Say::text('interface.gone.published'));
        foreach ($body->items ?? [] as $index => $item) {
            if ($decider->course->outline->positionOf($item) === null) {
                throw Problem::at("/items/{$index}", Say::text('interface.gone.item'));
            }
        }
        $items = $body->items === null ? null : array_values(array_unique($body->items));
        $people = array_values(array_unique($body->people));
        $each = $items === null ? $decider->course->outline->count() : count($items);
        if (count($people) * $each > self::MOST) {
            throw Problem::at('/people', Say::text('interface.refused.decisions', ['most' => self::MOST, 'people' => intdiv(self::MOST, max(1, $each))]));
        }
        $told = $this->decisions->many($course, $decider, $people, $items, $body->at === null ? $this->clock->now() : Instant::parse($body->at));

        return new StreamedJsonResponse(get_object_vars($told), 200, ['Cache-Control' => 'no-store, private']);
    }

    /**
     * @return array{Viewer, ?Person}
     *
     * @throws Problem
     */
    private function viewer(Asked $asked, Course $course, Decider $decider, int $at): array
    {
        $named = array_values(array_filter(['person', 'email', 'kind', 'offer'], static fn (string $one): bool => $asked->number($one) !== null || $asked->text($one) !== null));
        if (count($named) !== 1) {
            throw Problem::parameter($named[1] ?? 'person', Say::text('interface.parameters_told.viewer'));
        }
        if ($named[0] === 'offer') {
            $offer = array_values(array_filter($decider->course->offers, static fn ($one): bool => $one->key === $asked->text('offer')))[0] ?? throw Problem::parameter('offer', Say::text('interface.gone.offer'));

            return [Viewers::holderOf($offer, $asked->number('from') ?? $at, $decider->prepared->plan->zone), null];
        }
        if ($named[0] === 'kind') {
            return [match ($asked->text('kind')) {
                'guest' => Viewers::guest(),
                'member' => Viewers::member(),
                default => Viewers::visitor(),
            }, null];
        }
        $person = ($named[0] === 'email' ? Person::query()->where('email', mb_strtolower((string) $asked->text('email')))->first() : Person::query()->find($asked->number('person'))) ?? throw Problem::parameter($named[0], Say::text('interface.gone.person'));
        $learner = $asked->number('observes');
        $observed = $learner === null ? null : ($this->viewers->observed($person, $learner) ?? throw Problem::parameter('observes', Say::text('interface.gone.observed')));

        return [$this->viewers->lookingAt(new \App\Access\Looker($person, observed: $observed), $course), $person];
    }
}
