<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\Erasure;
use App\Http\Api\Inputs\NewPerson;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\Cursor;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\ParameterType;
use App\Models\Person;
use App\Pages\Api\People\ErasureTold;
use App\Pages\Api\People\PeopleList;
use App\Pages\Api\People\PeopleTold;
use App\Pages\Api\People\PersonTold;
use App\Pages\Api\People\PersonWhole;
use App\People\Acts\PeopleActs;
use App\People\MakePerson;
use App\People\PeopleFilter;
use App\Privacy\Erasing\CannotErase;
use App\Privacy\Erasing\ErasePerson;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use SilentKeep\Core\Time\Instant;

/** People. */
final readonly class PeopleController
{
    public function __construct(private PeopleTold $people)
    {
    }

    #[Operation('People', answers: PeopleList::class)]
    #[Parameter('find', 'A part of name or address.')]
    #[Parameter('holds', 'Key of an offer: those with an active pass by it.')]
    #[Parameter('label', 'Those who have it now.')]
    #[Parameter('after', 'Cursor of the list before.')]
    #[Parameter('limit', 'How many at most: 50, up to 200.', ParameterType::Number)]
    public function index(Request $request): JsonResponse
    {
        $asked = Asked::of($request);
        $size = Cursor::size($asked);
        $filter = new PeopleFilter(find: $asked->text('find') ?? '', holds: $asked->text('holds'), label: $asked->text('label'));
        [$shown, $next] = Cursor::cut($this->people->some($filter, Cursor::read($asked), $size), $size, static fn (Person $person): int => $person->id);

        return new JsonResponse(new PeopleList(array_map(PeopleTold::person(...), $shown), $next));
    }

    #[Operation('Somebody, with what decides what they may see', answers: PersonWhole::class)]
    public function show(Request $request, Person $person): JsonResponse
    {
        Asked::of($request);

        return new JsonResponse($this->people->whole($person));
    }

    #[Operation('Brings somebody in', answers: PersonTold::class, status: 201, takes: NewPerson::class, says: 'They are sent a link to sign in.')]
    public function store(Request $request, MakePerson $make, PeopleActs $acts): JsonResponse
    {
        $body = Body::as($request, NewPerson::class);
        $author = WhoLooks::signedIn($request);
        $gives = $body->offer === null ? null : $acts->of(['do' => 'give', 'offer' => $body->offer, 'from' => $body->from ?? ''], $author);
        $email = mb_strtolower(trim($body->email));
        if (Person::query()->where('email', $email)->exists()) {
            throw Problem::at('/email', Say::text('refused.new_person_request.somebody_with_address_here'));
        }
        $person = $make(trim($body->name), $email, array_map(trim(...), $body->labels), $gives, $author);

        return new JsonResponse(PeopleTold::person($person->refresh()), 201);
    }

    #[Operation('Erases somebody for good', answers: ErasureTold::class, status: 202, takes: Erasure::class, says: 'Who they are goes at once. All else that names them, in tables, files and logs, the queue looks for; what courses need to be counted stays, tied to nobody. Whoever works for the school is not erased.', problems: [ProblemKind::Collision])]
    public function erase(Request $request, Person $person, ErasePerson $erase): JsonResponse
    {
        $body = Body::as($request, Erasure::class);
        if ($person->erased_at === null && mb_strtolower(trim($body->email)) !== mb_strtolower($person->address())) {
            throw Problem::at('/email', Say::text('privacy_told.refused.type'));
        }
        try {
            $erased = $erase($person, WhoLooks::signedIn($request));
        } catch (CannotErase $cannot) {
            throw new Problem(ProblemKind::Collision, $cannot->getMessage());
        }

        return new JsonResponse(new ErasureTold($person->id, Instant::format($erased->erased_at->getTimestamp())), 202);
    }
}
