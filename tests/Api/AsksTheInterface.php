<?php

declare(strict_types=1);

namespace Tests\Api;

use App\Http\Api\Document\ApiDocument;
use App\Http\Api\Reading\Schemas;
use App\School\Tokens\Ability;
use App\School\Tokens\MakeToken;
use Illuminate\Routing\Router;
use Illuminate\Support\Facades\Auth;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Symfony\Component\HttpFoundation\Response;

/** Asks as a system of others does, and holds every answer to the document that describes the interface. */
trait AsksTheInterface
{
    private static ?Validator $answers = null;

    /** @var array<string, string> by abilities */
    private array $tokens = [];

    /** @param  list<Ability>  $abilities */
    protected function token(array $abilities, ?int $until = null, string $owner = 'hege'): string
    {
        return app(MakeToken::class)($this->person($owner), 'A test', $abilities, $until)[1];
    }

    /**
     * @param  ?array<array-key, mixed>  $body
     * @param  array<string, string>  $headers
     * @return TestResponse<Response>
     */
    protected function ask(string $method, string $path, ?array $body = null, ?string $token = null, array $headers = []): TestResponse
    {
        $token ??= $this->tokens['all'] ??= $this->token(Ability::cases());

        return $this->send($method, $path, $body === null ? '' : json_encode($body === [] ? (object) [] : $body, JSON_THROW_ON_ERROR), $token, $headers);
    }

    /**
     * @param  array<string, string>  $headers
     * @return TestResponse<Response>
     */
    protected function send(string $method, string $path, string $body, ?string $token, array $headers = []): TestResponse
    {
        // Each request is of another process.
        Auth::forgetGuards();
        $this->inAnotherProcess();
        $server = ['HTTP_ACCEPT' => 'application/json', 'CONTENT_TYPE' => 'application/json'] + ($token === null ? [] : ['HTTP_AUTHORIZATION' => "Bearer {$token}"]);
        foreach ($headers as $name => $value) {
            $server[in_array($name, ['Content-Type'], true) ? 'CONTENT_TYPE' : 'HTTP_'.strtoupper(strtr($name, '-', '_'))] = $value;
        }
        $response = $this->call($method, "/api/v1{$path}", server: $server, content: $body);
        self::assertLessThan(500, $response->getStatusCode(), $response->baseResponse instanceof \Illuminate\Http\JsonResponse ? (string) $response->baseResponse->exception : '');
        $this->assertAsDescribed($response);

        return $response;
    }

    /** @param  TestResponse<Response>  $response */
    private function assertAsDescribed(TestResponse $response): void
    {
        $route = request()->route();
        $type = strtok((string) $response->headers->get('Content-Type'), ';');
        if ($response->getStatusCode() >= 400) {
            self::assertSame('application/problem+json', $type, (string) $response->getContent());
            self::assertMatches('#/components/schemas/Problem', (string) $response->getContent());
        }
        if (! $route instanceof \Illuminate\Routing\Route || ! in_array($route, ApiDocument::routes(app(Router::class)), true)) {
            return;
        }
        $described = json_decode((string) file_get_contents(Schemas::file()), true);
        $operation = $described['paths']['/'.substr($route->uri(), strlen('api/v1/'))][strtolower($route->methods()[0])];
        self::assertArrayHasKey($response->getStatusCode(), $operation['responses'], "{$operation['operationId']} answers {$response->getStatusCode()}, which is not described: ".$response->getContent());
        $content = $operation['responses'][$response->getStatusCode()]['content'] ?? null;
        if ($content === null) {
            self::assertSame('', (string) $response->getContent());

            return;
        }
        self::assertArrayHasKey((string) $type, $content);
        if (isset($content[$type]['schema']['$ref'])) {
            self::assertMatches($content[$type]['schema']['$ref'], $response->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse ? $response->streamedContent() : (string) $response->getContent());
        }
    }

    private static function assertMatches(string $schema, string $json): void
    {
        if (self::$answers === null) {
            self::$answers = new Validator;
            self::$answers->resolver()?->registerRaw((string) file_get_contents(Schemas::file()), 'silent-keep:///described.json');
        }
        $error = self::$answers->validate(json_decode($json, false, 512, JSON_THROW_ON_ERROR), "silent-keep:///described.json{$schema}")->error();
        self::assertNull($error, $error === null ? '' : json_encode((new ErrorFormatter)->format($error), JSON_THROW_ON_ERROR)." in {$json}");
    }

    /**
     * @param  TestResponse<Response>  $response
     * @return array<array-key, mixed>
     */
    protected function body(TestResponse $response): array
    {
        $content = $response->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse ? $response->streamedContent() : (string) $response->getContent();

        return (array) json_decode($content, true, 512, JSON_THROW_ON_ERROR);
    }
}
