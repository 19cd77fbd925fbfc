<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Http\Api\Document\ApiDocument;
use App\Http\Api\Reading\Schemas;
use Illuminate\Routing\Router;
use Tests\TestCase;

/** The document says what there is, all of it, and nothing else. That a validator of others reads it is tested beside it: `resources/js/lib/openapi.test.ts`. */
final class DocumentTest extends TestCase
{
    public function test_every_route_below_the_interface_is_in_it(): void
    {
        $routes = [];
        foreach (app(Router::class)->getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $routes[] = strtolower($route->methods()[0]).' /'.substr($route->uri(), strlen('api/v1/'));
            }
        }
        $described = [];
        foreach (self::document()['paths'] as $path => $operations) {
            foreach (array_keys($operations) as $method) {
                $described[] = "{$method} {$path}";
            }
        }

        self::assertNotSame([], $routes);
        self::assertEqualsCanonicalizing($routes, $described);
    }

    public function test_it_is_as_the_program_is(): void
    {
        self::assertSame(app(ApiDocument::class)->toJson(), file_get_contents(Schemas::file()));
    }

    public function test_every_operation_says_what_it_does_and_has_an_example_where_it_takes_or_answers_something(): void
    {
        foreach (self::document()['paths'] as $path => $operations) {
            foreach ($operations as $method => $operation) {
                self::assertNotSame('', $operation['summary'], "{$method} {$path}");
                foreach ($operation['parameters'] as $parameter) {
                    self::assertNotSame('', $parameter['description'], "{$method} {$path} {$parameter['name']}");
                }
                $contents = [...array_values($operation['requestBody']['content'] ?? []), ...array_merge([], ...array_map(static fn (array $answer): array => array_values(array_diff_key($answer['content'] ?? [], ['application/problem+json' => 0])), array_slice(array_values($operation['responses']), 0, 1)))];
                foreach ($contents as $content) {
                    self::assertArrayHasKey('example', $content, "{$method} {$path}");
                }
            }
        }
    }

    public function test_it_is_served_to_whoever_asks_and_kept(): void
    {
        $this->demoSchool();
        $answer = $this->get('/interface/openapi.json')->assertOk();
        self::assertSame(json_decode((string) file_get_contents(Schemas::file()), true), $answer->json());
        $this->get('/interface/openapi.json', ['If-None-Match' => (string) $answer->headers->get('ETag')])->assertStatus(304);
    }

    /** @return array<string, mixed> */
    private static function document(): array
    {
        return (array) json_decode((string) file_get_contents(Schemas::file()), true);
    }
}
