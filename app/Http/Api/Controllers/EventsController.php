<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\CloudEvent;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\Cursor;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Models\OutsideEvent;
use App\Models\Person;
use App\Pages\Api\Events\EventList;
use App\Pages\Api\Events\EventTaken;
use App\Pages\Api\Events\EventTold;
use App\Triggers\Outside\DeliverEvent;
use App\Triggers\Outside\DeliverEvents;
use App\Triggers\Outside\TakeEvent;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What systems of others are told, and what they tell. */
final readonly class EventsController
{
    private const TYPE = 'application/cloudevents+json';

    #[Operation('Tells that something came about elsewhere', answers: EventTaken::class, status: 202, takes: CloudEvent::class, takesType: self::TYPE, signed: true, says: 'By a system of others that the school knows: signed with its secret over `"@method" "@target-uri" "content-digest"`, with `created` within five minutes of now, `keyid="outside-ID"` and `alg="hmac-sha256"`, under the label `sig`. A message that comes a second time is refused; the same event in a message of its own is taken, and does nothing more.', problems: [ProblemKind::Collision])]
    public function store(Request $request, TakeEvent $take): JsonResponse
    {
        $headers = [];
        foreach (['Content-Digest', 'Signature-Input', 'Signature'] as $name) {
            $headers[$name] = (string) $request->headers->get($name);
        }
        $system = $take->sender($request->getPathInfo(), $request->getContent(), $headers) ?? throw new Problem(ProblemKind::NotSigned, Say::text('interface.problems_told.signature'));
        Body::type($request, self::TYPE);
        $event = Body::of($request->getContent(), CloudEvent::class);
        $person = $this->person($event);
        $isNew = $take($system, $person, $event->source, $event->id, $event->type, $request->getContent(), $headers['Signature']) ?? throw new Problem(ProblemKind::Collision, Say::text('interface.problems_told.copy'));

        return new JsonResponse(new EventTaken($event->id, ! $isNew), 202);
    }

    #[Operation('Events that systems of others were told', answers: EventList::class)]
    #[Parameter('state', 'Those that wait, were taken, or were given up.', oneOf: ['waiting', 'taken', 'failed'])]
    #[Parameter('after', 'Cursor of the list before.')]
    #[Parameter('limit', 'How many at most: 50, up to 200.', ParameterType::Number)]
    public function index(Request $request): JsonResponse
    {
        $asked = Asked::of($request);
        $size = Cursor::size($asked);
        $state = $asked->text('state');
        $events = OutsideEvent::query()->with('system')->where('id', '>', Cursor::read($asked))->when($state !== null, static fn ($query) => $query->where('state', $state))->orderBy('id')->limit($size + 1)->get()->all();
        [$shown, $next] = Cursor::cut(array_values($events), $size, static fn (OutsideEvent $one): int => $one->id);

        return new JsonResponse(new EventList(array_map(EventTold::of(...), $shown), $next));
    }

    #[Operation('Tells an event again', answers: EventTold::class, status: 202, says: 'Also one that was taken: with the same id, signed anew.', problems: [ProblemKind::Collision])]
    public function replay(OutsideEvent $event, DeliverEvent $deliver): JsonResponse
    {
        if (! $deliver->again($event)) {
            throw new Problem(ProblemKind::Collision, Say::text('told.outside_controller.waits'));
        }
        DeliverEvents::dispatch();

        return new JsonResponse(EventTold::of($event->refresh()->load('system')), 202);
    }

    /** @throws Problem */
    private function person(CloudEvent $event): int
    {
        $of = $event->data->person;
        $query = Person::query()->whereNull('role');
        $person = match (true) {
            ($of->id === null) === ($of->email === null) => throw Problem::at('/data/person', Say::text('interface.refused.one_of_person')),
            $of->id !== null => $query->find($of->id),
            default => $query->where('email', mb_strtolower(trim((string) $of->email)))->first(),
        };

        return $person->id ?? throw Problem::at('/data/person', Say::text('interface.gone.person'));
    }
}
