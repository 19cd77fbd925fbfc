<?php

declare(strict_types=1);

namespace App\Http\Api\Document;

use App\Http\Api\Middleware\NeedsAbility;
use App\Http\Api\Middleware\OnceByKey;
use App\Http\Api\Problems\ProblemKind;
use App\Http\Api\Reading\Asked;
use App\Http\Api\Reading\Parameter;
use App\Http\Api\Reading\Version;
use App\Learning\Progress\TakeStatements;
use App\Words\Say;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use ReflectionMethod;

/** What describes the interface, as OpenAPI 3.1: made of its routes, of the attributes of its controllers, and of what they take and send. */
final readonly class ApiDocument
{
    /** May be answered to everything that needs a token. */
    private const ALWAYS = [ProblemKind::NoToken, ProblemKind::NotAllowed, ProblemKind::TooOften, ProblemKind::Busy];

    public function __construct(private Router $router, private Shapes $shapes, private Examples $examples)
    {
    }

    public function toJson(): string
    {
        return json_encode($this->build(), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    }

    /** @return array<string, mixed> */
    public function build(): array
    {
        $paths = $wanted = [];
        foreach (self::routes($this->router) as $route) {
            $operation = self::operationOf($route);
            $path = '/'.substr(str_replace('?}', '}', $route->uri()), strlen('api/v1/'));
            $paths[$path][strtolower($route->methods()[0])] = $this->operation($route, $operation);
            $wanted = [...$wanted, ...array_filter([$operation->answers, $operation->takes, ...array_values($operation->also)])];
        }
        ksort($paths);

        return [
            'openapi' => '3.1.0',
            'info' => ['title' => 'Silent Keep', 'version' => '1', 'summary' => Say::text('interface.document.summary'), 'description' => Say::text('interface.document.description'), 'license' => ['name' => 'MIT', 'identifier' => 'MIT']],
            'jsonSchemaDialect' => 'https://json-schema.org/draft/2020-12/schema',
            'servers' => [['url' => '/api/v1']],
            'security' => [['token' => []]],
            'tags' => array_map(static fn (string $tag): array => ['name' => $tag, 'description' => Say::text("interface.tags.{$tag}")], self::tags()),
            'paths' => $paths,
            // At whose addresses `type` of a problem points.
            'x-problems' => array_map(static fn (ProblemKind $kind): array => ['kind' => $kind->value, 'status' => $kind->status(), 'title' => Say::text("interface.problems.{$kind->value}")], ProblemKind::cases()),
            'components' => [
                'securitySchemes' => [
                    'token' => ['type' => 'http', 'scheme' => 'bearer', 'description' => Say::text('interface.document.token')],
                    'signature' => ['type' => 'apiKey', 'in' => 'header', 'name' => 'Signature', 'description' => Say::text('interface.document.signature')],
                ],
                'schemas' => ['Problem' => self::problem(), ...$this->shapes->of($wanted)],
            ],
        ];
    }

    /** @return list<Route> of the interface, in the order in which they are written down */
    public static function routes(Router $router): array
    {
        return array_values(array_filter($router->getRoutes()->getRoutes(), static fn (Route $route): bool => str_starts_with($route->uri(), 'api/v1/') && str_starts_with((string) $route->getName(), 'api.')));
    }

    public static function operationOf(Route $route): Operation
    {
        [$class, $method] = [...explode('@', $route->getActionName()), ''];
        $attributes = (new ReflectionMethod($class, $method))->getAttributes(Operation::class);

        return ($attributes[0] ?? throw new \LogicException("{$route->getActionName()} says nothing of itself."))->newInstance();
    }

    /** As `decisions.one`: its name in the document, and of its example. */
    public static function idOf(Route $route): string
    {
        return substr((string) $route->getName(), strlen('api.'));
    }

    /** @return list<string> */
    private static function tags(): array
    {
        return ['decisions', 'courses', 'people', 'progress', 'events', 'formats', 'token'];
    }

    /** @return array<string, mixed> */
    private function operation(Route $route, Operation $operation): array
    {
        [$class, $method] = [...explode('@', $route->getActionName()), ''];
        $id = self::idOf($route);
        $ability = NeedsAbility::of($route);
        $hasToken = in_array('auth:sanctum', $route->gatherMiddleware(), true);
        $once = in_array(OnceByKey::class, $route->gatherMiddleware(), true);
        $example = $this->examples->of($id);
        $told = [
            'operationId' => $id,
            'tags' => [explode('.', $id)[0]],
            'summary' => $operation->summary,
            'description' => trim($operation->says.($ability === null ? '' : "\n\n".Say::text('interface.document.ability', ['ability' => $ability->value]))),
            'security' => $hasToken ? [['token' => $ability === null ? [] : [$ability->value]]] : ($operation->signed ? [['signature' => []]] : []),
            'parameters' => [
                ...array_map(fn (string $name): array => $this->path($route, $name, $example), $route->parameterNames()),
                ...array_map(fn (Parameter $parameter): array => self::query($parameter, $example), Asked::parametersOf($class, $method)),
                ...($operation->statements ? [['name' => 'X-Experience-API-Version', 'in' => 'header', 'required' => true, 'description' => Say::text('interface.document.xapi'), 'schema' => ['type' => 'string', 'pattern' => '^1\\.0(\\.[0-9]+)?$', 'example' => '1.0.3']]] : []),
                ...($operation->signed ? array_map(static fn (string $name): array => ['name' => $name, 'in' => 'header', 'required' => true, 'description' => Say::text('interface.document.signed'), 'schema' => ['type' => 'string']], ['Content-Digest', 'Signature-Input']) : []),
                ...($operation->needsVersion ? [['name' => Version::HEADER, 'in' => 'header', 'required' => true, 'description' => Say::text('interface.document.version'), 'schema' => ['type' => 'string', 'pattern' => '^"[0-9]{1,9}"$']]] : []),
                ...($once ? [['name' => 'Idempotency-Key', 'in' => 'header', 'required' => false, 'description' => Say::text('interface.document.once'), 'schema' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 100]]] : []),
            ],
        ];
        if ($operation->takes !== null) {
            $told['requestBody'] = ['required' => true, 'content' => [$operation->takesType => self::content($operation->takes, $operation->takesType, $example['request']['body'] ?? null, $operation->statements && $operation->status === 200)]];
        }
        $told['responses'] = self::answers($operation, $hasToken, $once, $example['answer']['body'] ?? null);
        if ($told['description'] === '') {
            unset($told['description']);
        }

        return $told;
    }

    /**
     * @param  array<string, mixed>  $example
     * @return array<string, mixed>
     */
    private function path(Route $route, string $name, array $example): array
    {
        $schema = isset($route->wheres[$name]) && str_contains($route->wheres[$name], '[0-9]') ? ['type' => 'integer', 'minimum' => 1, 'maximum' => 999_999_999] : ['type' => 'string', 'minLength' => 1, 'maxLength' => 200];
        $request = is_array($example['request'] ?? null) ? $example['request'] : [];
        $given = is_array($request['path'] ?? null) ? ($request['path'][$name] ?? null) : null;

        return ['name' => $name, 'in' => 'path', 'required' => true, 'description' => Say::text("interface.paths.{$name}"), 'schema' => $schema, ...($given === null ? [] : ['example' => $given])];
    }

    /**
     * @param  array<string, mixed>  $example
     * @return array<string, mixed>
     */
    private static function query(Parameter $parameter, array $example): array
    {
        $request = is_array($example['request'] ?? null) ? $example['request'] : [];
        $given = is_array($request['query'] ?? null) ? ($request['query'][$parameter->name] ?? null) : null;

        return ['name' => $parameter->name, 'in' => 'query', 'required' => $parameter->required, 'description' => $parameter->says, 'schema' => $parameter->schema(), ...($given === null ? [] : ['example' => $given])];
    }

    /**
     * @return array<array-key, mixed>
     */
    private static function answers(Operation $operation, bool $hasToken, bool $once, mixed $example): array
    {
        $answers = [];
        foreach ([$operation->status => $operation->answers, ...[]] + $operation->also as $status => $class) {
            $answers[(string) $status] = ['description' => Say::text("interface.statuses.{$status}")] + ($class === null ? [] : ['content' => [$operation->type => self::content($class, $operation->type, $status === $operation->status ? $example : null)]]);
        }
        $kinds = [...($hasToken ? self::ALWAYS : [...($operation->signed ? [ProblemKind::NotSigned] : []), ProblemKind::Busy, ProblemKind::TooOften]), ...($operation->takes === null ? [] : [ProblemKind::NotJson, ProblemKind::TooMuch, ProblemKind::WrongType]), ...($once ? [ProblemKind::UnderWay, ProblemKind::KeyUsed] : []), ...($operation->needsVersion ? [ProblemKind::ChangedMeanwhile, ProblemKind::VersionNeeded] : []), ProblemKind::NotFound, ProblemKind::Invalid, ...$operation->problems];
        $byStatus = [];
        foreach ($kinds as $kind) {
            $byStatus[$kind->status()][$kind->value] = Say::text("interface.problems.{$kind->value}");
        }
        ksort($byStatus);
        foreach ($byStatus as $status => $words) {
            $answers[(string) $status] ??= ['description' => implode(' ', $words), 'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]]];
        }

        return $answers;
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private static function content(string $class, string $type, mixed $example, bool $orMany = false): array
    {
        $schema = str_contains($type, 'json') ? ['$ref' => '#/components/schemas/'.Shapes::nameOf($class)] : ['type' => 'string'];

        if ($orMany) {
            $schema = ['oneOf' => [$schema, ['type' => 'array', 'items' => $schema, 'maxItems' => TakeStatements::MOST]]];
        }

        return ['schema' => $schema, ...($example === null ? [] : ['example' => $example])];
    }

    /** @return array<string, mixed> RFC 9457 */
    private static function problem(): array
    {
        return [
            'type' => 'object',
            'description' => Say::text('interface.document.problem'),
            'required' => ['type', 'title', 'status'],
            'properties' => [
                'type' => ['type' => 'string', 'format' => 'uri'],
                'title' => ['type' => 'string'],
                'status' => ['type' => 'integer'],
                'detail' => ['type' => 'string'],
                'parameter' => ['type' => 'string', 'description' => Say::text('interface.document.parameter')],
                'errors' => ['type' => 'array', 'items' => ['type' => 'object', 'required' => ['pointer', 'detail'], 'properties' => ['pointer' => ['type' => 'string', 'description' => Say::text('interface.document.pointer')], 'detail' => ['type' => 'string']]]],
            ],
        ];
    }
}
