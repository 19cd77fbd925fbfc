<?php

declare(strict_types=1);

namespace App\Http\Api\Controllers;

use App\Access\WhoLooks;
use App\Http\Api\Document\Operation;
use App\Http\Api\Inputs\StatementIn;
use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Body;
use App\Http\Api\Reading\Parameter;
use App\Learning\Progress\StatementRefused;
use App\Learning\Progress\TakeStatements;
use App\Models\ProgressStatement;
use App\Pages\Api\Progress\AboutStatements;
use App\Pages\Api\Progress\StatementIds;
use App\Words\Say;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use SilentKeep\Core\Time\Instant;
use stdClass;
use Symfony\Component\HttpFoundation\Response as AnyResponse;

/** Progress, as xAPI 1.0.3 says it: what is asked for there of statements that speak of items of this school. */
final readonly class StatementsController
{
    private const VERSION = '1.0.3';

    private const HEADER = 'X-Experience-API-Version';

    public function __construct(private TakeStatements $take)
    {
    }

    #[Operation('Which versions of xAPI are spoken', answers: AboutStatements::class)]
    public function about(): AnyResponse
    {
        return self::versioned(new JsonResponse(new AboutStatements([self::VERSION])));
    }

    #[Operation('Takes statements', answers: StatementIds::class, takes: StatementIn::class, says: 'One, or a list of up to 100: all of them or none. The same statement again is taken as the one that came before.', problems: [ProblemKind::BadRequest, ProblemKind::Collision], statements: true)]
    public function store(Request $request): AnyResponse
    {
        self::needVersion($request);
        $given = Body::json($request);
        $isOne = ! is_array($given);
        $many = $isOne ? [$given] : array_values($given);
        if (count($many) > TakeStatements::MOST) {
            throw new Problem(ProblemKind::BadRequest, Say::text('interface.refused.maxitems', ['limit' => (string) TakeStatements::MOST]));
        }

        return self::versioned(new JsonResponse($this->taken($request, $many, static fn (int $index): string => $isOne ? '' : "/{$index}")));
    }

    #[Operation('Takes one statement', status: 204, takes: StatementIn::class, problems: [ProblemKind::BadRequest, ProblemKind::Collision], statements: true)]
    #[Parameter('statementId', 'Its id, a UUID.', required: true)]
    public function update(Request $request): AnyResponse
    {
        self::needVersion($request);
        $id = Asked::of($request)->text('statementId');
        $given = Body::json($request);
        if ($given instanceof stdClass) {
            $said = $given->id ?? $id;
            if (! is_string($said) || strcasecmp($said, (string) $id) !== 0) {
                throw new Problem(ProblemKind::BadRequest, Say::text('interface.statements.another'), [['pointer' => '/id', 'detail' => Say::text('interface.statements.another')]]);
            }
            $given->id = $id;
        }
        $this->taken($request, [$given], static fn (): string => '');

        return self::versioned(new Response(status: 204));
    }

    #[Operation('A statement that was taken', answers: StatementIn::class, problems: [ProblemKind::BadRequest], statements: true)]
    #[Parameter('statementId', 'Its id, a UUID.', required: true)]
    public function show(Request $request): AnyResponse
    {
        self::needVersion($request);
        $kept = ProgressStatement::query()->find(strtolower((string) Asked::of($request)->text('statementId'))) ?? throw new Problem(ProblemKind::NotFound);
        $stored = Instant::format($kept->stored_at->getTimestamp());
        $said = json_decode($kept->body, false, flags: JSON_THROW_ON_ERROR);
        assert($said instanceof stdClass);

        return self::versioned(new JsonResponse((object) ['id' => $kept->id, 'timestamp' => $stored, ...(array) $said, 'stored' => $stored, 'version' => self::VERSION]));
    }

    /**
     * @param  list<mixed>  $given
     * @param  \Closure(int): string  $at
     * @return list<string>
     *
     * @throws Problem
     */
    private function taken(Request $request, array $given, \Closure $at): array
    {
        try {
            return ($this->take)($given, $at, WhoLooks::signedIn($request));
        } catch (StatementRefused $e) {
            throw new Problem($e->collides ? ProblemKind::Collision : ProblemKind::BadRequest, $e->getMessage(), [['pointer' => $e->pointer, 'detail' => $e->getMessage()]]);
        }
    }

    /** @throws Problem as the standard says: 400 */
    private static function needVersion(Request $request): void
    {
        if (preg_match('/^1\.0(\.\d+)?$/D', (string) $request->headers->get(self::HEADER)) !== 1) {
            throw new Problem(ProblemKind::BadRequest, Say::text('interface.statements.version'), headers: [self::HEADER => self::VERSION]);
        }
    }

    private static function versioned(AnyResponse $response): AnyResponse
    {
        $response->headers->add([self::HEADER => self::VERSION, 'Cache-Control' => 'no-store']);

        return $response;
    }
}
