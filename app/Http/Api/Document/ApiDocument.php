<?php

declare(strict_types=1);

namespace App\Http\Api\Document;

use App\Http\Api\Problems\ProblemKind;
use App\Words\Say;
use Illuminate\Routing\Route;
use Illuminate\Routing\Router;
use ReflectionMethod;

/** What describes the interface, as OpenAPI 3.1: made of its routes, of the attributes of its controllers, and of what they take and send. */
final readonly class ApiDocument
{
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
            $paths[$path][strtolower($route->methods()[0])] = $this->operation($route, $operation)->toArray();
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

    private function operation(Route $route, Operation $operation): OperationTold
    {
        $id = self::idOf($route);
        $example = $this->examples->of($id);

        return new OperationTold($id, $route, $operation, $example['request'] ?? [], $example['request']['body'] ?? null, $example['answer']['body'] ?? null);
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
