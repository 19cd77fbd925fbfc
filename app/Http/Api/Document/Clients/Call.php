<?php

declare(strict_types=1);

namespace App\Http\Api\Document\Clients;

/** One operation of the document, as a method of a client takes it. */
final readonly class Call
{
    /**
     * @param  string  $name  `decisionsOne`
     * @param  list<Argument>  $arguments  those that are needed first
     * @param  ?string  $takes  content type of what is sent; null: nothing is
     * @param  string  $accepts  content type of what is answered
     * @param  array<string, mixed>  $answers  its JSON Schema; empty: nothing is answered
     */
    private function __construct(public string $name, public string $method, public string $path, public string $summary, public array $arguments, public ?string $takes, public string $accepts, public array $answers)
    {
    }

    /**
     * @param  array<string, mixed>  $document  decoded OpenAPI
     * @return list<self> those that take a token, or nothing: what is signed is not for clients
     */
    public static function all(array $document): array
    {
        $calls = [];
        foreach (Json::object($document['paths'] ?? null) as $path => $methods) {
            foreach (Json::object($methods) as $method => $operation) {
                $operation = Json::object($operation);
                if (! isset(Json::object(Json::list($operation['security'] ?? null)[0] ?? null)['signature'])) {
                    $calls[] = self::of($path, $method, $operation);
                }
            }
        }
        usort($calls, static fn (self $a, self $b): int => strcmp($a->name, $b->name));

        return $calls;
    }

    /** @param  array<string, mixed>  $operation */
    private static function of(string $path, string $method, array $operation): self
    {
        $arguments = [];
        foreach (Json::list($operation['parameters'] ?? null) as $parameter) {
            $arguments[] = Argument::ofParameter(Json::object($parameter));
        }
        $body = Json::object(Json::object($operation['requestBody'] ?? null)['content'] ?? null);
        $takes = array_key_first($body);
        if ($takes !== null) {
            $schema = Json::object(Json::object($body[$takes])['schema'] ?? null);
            $arguments[] = new Argument('body', 'body', 'body', $schema, isNeeded: true, says: '');
        }
        // A stable sort: those that are needed stay in their order, and come first.
        usort($arguments, static fn (Argument $a, Argument $b): int => [$b->isNeeded, $a->in !== 'path'] <=> [$a->isNeeded, $b->in !== 'path']);
        $responses = Json::object($operation['responses'] ?? null);
        $content = Json::object(Json::object(reset($responses))['content'] ?? null);
        $accepts = array_key_first($content);
        $id = Json::text($operation['operationId'] ?? null);

        return new self(lcfirst(str_replace(' ', '', ucwords(strtr($id, '.-', '  ')))), strtoupper($method), $path, Json::text($operation['summary'] ?? null), $arguments, $takes, $accepts ?? 'application/json', $accepts === null ? [] : Json::object(Json::object($content[$accepts])['schema'] ?? null));
    }
}
