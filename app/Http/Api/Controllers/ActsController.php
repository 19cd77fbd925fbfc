<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\Act;
use App\Http\Api\Middleware\NeedsAbility;
use App\Http\Api\Middleware\OnceByKey;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Body;
use App\Models\Person;
use App\Pages\Api\People\ActTold;
use App\Pages\People\ActOutcome;
use App\Pages\People\ActPreview;
use App\People\ActOnPeople;
use App\People\Acts\CannotAct;
use App\People\Acts\PeopleAct;
use App\People\Acts\PeopleActs;
use App\People\ChosenPeople;
use App\People\UndoAct;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Passes, labels, grants and observers: given, changed and taken, to one or to many, as the pages do it and with the same undo. */
final readonly class ActsController
{
    public function __construct(private PeopleActs $acts, private ActOnPeople $actOn)
    {
    }

    #[Operation('Does something to people', answers: ActTold::class, status: 201, takes: Act::class, says: 'Passes, labels, grants and observers: given, changed and taken. All of it is done or nothing, and it can be taken back.')]
    public function store(Request $request): JsonResponse
    {
        $body = Body::as($request, Act::class);
        [$act, $people] = $this->read($request, $body);
        [$record, $touched] = ($this->actOn)($act, $people, WhoLooks::signedIn($request), OnceByKey::once($request), $body->form(), NeedsAbility::token($request)?->name);

        return new JsonResponse(new ActTold($record?->id, $act->told(), $touched), 201);
    }

    #[Operation('What an act would do', answers: ActPreview::class, takes: Act::class, says: 'Nothing is changed.')]
    public function preview(Request $request): JsonResponse
    {
        $body = Body::as($request, Act::class);
        [$act, $people] = $this->read($request, $body);

        return new JsonResponse(new ActPreview($act->told(), $people->count(), $act->canBeUndone(), long: false, outcomes: ActOutcome::listOf($this->actOn->preview($act, $people))));
    }

    #[Operation('Takes back what was done', status: 204, says: 'All of it, or nothing where some of it was changed again since.', problems: [ProblemKind::Collision])]
    public function destroy(Request $request, int $act, UndoAct $undo): Response
    {
        try {
            $undo($act, WhoLooks::signedIn($request), mayAll: true);
        } catch (CannotAct $e) {
            throw new Problem(ProblemKind::Collision, $e->getMessage());
        }

        return new Response(status: 204);
    }

    /**
     * @return array{PeopleAct, ChosenPeople}
     *
     * @throws Problem|CannotAct
     */
    private function read(Request $request, Act $body): array
    {
        $missing = $body->missing();
        if ($missing !== []) {
            throw new Problem(ProblemKind::Invalid, Say::text('interface.problems_told.body'), array_map(static fn (string $name): array => ['pointer' => "/{$name}", 'detail' => Say::text('interface.refused.required')], $missing));
        }
        $there = Person::query()->toBase()->whereIntegerInRaw('id', $body->people)->pluck('id')->flip();
        foreach ($body->people as $index => $id) {
            if (! $there->has($id)) {
                throw Problem::at("/people/{$index}", Say::text('interface.gone.person'));
            }
        }

        return [$this->acts->of($body->form(), WhoLooks::signedIn($request)), ChosenPeople::named(array_values(array_unique($body->people)))];
    }
}
