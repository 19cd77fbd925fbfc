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
use App\School\Tokens\Ability;
use App\Words\Say;
use Illuminate\Routing\Route;

/** One operation as OpenAPI has it: made of its route, of the attributes of its controller, and of its example. */
final readonly class OperationTold
{
    /** May be answered to everything that needs a token. */
    private const ALWAYS = [ProblemKind::NoToken, ProblemKind::NotAllowed, ProblemKind::TooOften, ProblemKind::Busy];

    private ?Ability $ability;

    private bool $hasToken;

    private bool $once;

    /**
     * @param  array<string, mixed>  $request  of its example
     * @param  mixed  $answer  body that is answered to that; null: none
     * @param  mixed  $sent  body that is sent with it
     */
    public function __construct(private string $id, private Route $route, private Operation $operation, private array $request, private mixed $sent, private mixed $answer)
    {
        $this->ability = NeedsAbility::of($route);
        $this->hasToken = in_array('auth:sanctum', $route->gatherMiddleware(), true);
        $this->once = in_array(OnceByKey::class, $route->gatherMiddleware(), true);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $says = trim($this->operation->says.($this->ability === null ? '' : "\n\n".Say::text('interface.document.ability', ['ability' => $this->ability->value])));
        $told = ['operationId' => $this->id, 'tags' => [explode('.', $this->id)[0]], 'summary' => $this->operation->summary, ...($says === '' ? [] : ['description' => $says]), 'security' => $this->security(), 'parameters' => $this->parameters()];
        if ($this->operation->takes !== null) {
            $schema = self::schema($this->operation->takes, $this->operation->takesType);
            if ($this->operation->statements && $this->operation->status === 200) {
                $schema = ['oneOf' => [$schema, ['type' => 'array', 'items' => $schema, 'maxItems' => TakeStatements::MOST]]];
            }
            $told['requestBody'] = ['required' => true, 'content' => [$this->operation->takesType => ['schema' => $schema, ...self::example($this->sent)]]];
        }

        return [...$told, 'responses' => $this->answers() + $this->problems()];
    }

    /** @return list<array<string, list<string>>> */
    private function security(): array
    {
        return match (true) {
            $this->hasToken => [['token' => $this->ability === null ? [] : [$this->ability->value]]],
            $this->operation->signed => [['signature' => []]],
            default => [],
        };
    }

    /** @return list<array<string, mixed>> */
    private function parameters(): array
    {
        [$class, $method] = [...explode('@', $this->route->getActionName()), ''];

        return [...array_map($this->path(...), array_values($this->route->parameterNames())), ...array_map($this->query(...), Asked::parametersOf($class, $method)), ...$this->headers()];
    }

    /** @return array<string, mixed> */
    private function path(string $name): array
    {
        $isNumber = str_contains($this->route->wheres[$name] ?? '', '[0-9]');
        $schema = $isNumber ? ['type' => 'integer', 'minimum' => 1, 'maximum' => 999_999_999] : ['type' => 'string', 'minLength' => 1, 'maxLength' => 200];

        return ['name' => $name, 'in' => 'path', 'required' => true, 'description' => Say::text("interface.paths.{$name}"), 'schema' => $schema, ...self::example($this->given('path', $name))];
    }

    /** @return array<string, mixed> */
    private function query(Parameter $parameter): array
    {
        return ['name' => $parameter->name, 'in' => 'query', 'required' => $parameter->required, 'description' => $parameter->says, 'schema' => $parameter->schema(), ...self::example($this->given('query', $parameter->name))];
    }

    /** @return list<array<string, mixed>> */
    private function headers(): array
    {
        $header = static fn (string $name, string $says, array $schema, bool $required = true): array => ['name' => $name, 'in' => 'header', 'required' => $required, 'description' => Say::text("interface.document.{$says}"), 'schema' => ['type' => 'string', ...$schema]];
        $headers = [];
        if ($this->operation->statements) {
            $headers[] = $header('X-Experience-API-Version', 'xapi', ['pattern' => '^1\\.0(\\.[0-9]+)?$', 'example' => '1.0.3']);
        }
        if ($this->operation->signed) {
            $headers[] = $header('Content-Digest', 'signed', []);
            $headers[] = $header('Signature-Input', 'signed', []);
        }
        if ($this->operation->needsVersion) {
            $headers[] = $header(Version::HEADER, 'version', ['pattern' => '^"[0-9]{1,9}"$']);
        }
        if ($this->once) {
            $headers[] = $header(OnceByKey::HEADER, 'once', ['minLength' => 1, 'maxLength' => 100], required: false);
        }

        return $headers;
    }

    /** @return array<int, mixed> what is answered where all is well, by status */
    private function answers(): array
    {
        $answers = [];
        foreach ([$this->operation->status => $this->operation->answers] + $this->operation->also as $status => $class) {
            $example = $status === $this->operation->status ? self::example($this->answer) : [];
            $answers[$status] = ['description' => Say::text("interface.statuses.{$status}"), ...self::sent([...$this->operation->headers, ...($this->once ? [OnceByKey::REPLAYED] : [])])] + ($class === null ? [] : ['content' => [$this->operation->type => ['schema' => self::schema($class, $this->operation->type), ...$example]]]);
        }

        return $answers;
    }

    /** @return array<int, mixed> what is answered where something is wrong, by status */
    private function problems(): array
    {
        $kinds = [
            ...($this->hasToken ? self::ALWAYS : [ProblemKind::Busy, ProblemKind::TooOften]),
            ...($this->operation->signed ? [ProblemKind::NotSigned] : []),
            ...($this->operation->takes === null ? [] : [ProblemKind::NotJson, ProblemKind::TooMuch, ProblemKind::WrongType]),
            ...($this->once ? [ProblemKind::BadRequest, ProblemKind::UnderWay, ProblemKind::KeyUsed] : []),
            ...($this->operation->needsVersion ? [ProblemKind::ChangedMeanwhile, ProblemKind::VersionNeeded] : []),
            ProblemKind::NotFound, ProblemKind::Invalid, ...$this->operation->problems,
        ];
        $byStatus = [];
        foreach ($kinds as $kind) {
            $byStatus[$kind->status()][$kind->value] = Say::text("interface.problems.{$kind->value}");
        }
        ksort($byStatus);

        $told = [];
        foreach ($byStatus as $status => $words) {
            $isForNow = in_array($status, [429, 503], true) || ($status === 409 && $this->once);
            $told[$status] = ['description' => implode(' ', $words), ...self::sent($isForNow ? ['Retry-After'] : []), 'content' => ['application/problem+json' => ['schema' => ['$ref' => '#/components/schemas/Problem']]]];
        }

        return $told;
    }

    /**
     * @param  list<string>  $headers  names
     * @return array<string, mixed>
     */
    private static function sent(array $headers): array
    {
        $said = [];
        foreach ($headers as $name) {
            $said[$name] = ['description' => Say::text('interface.headers.'.strtolower($name)), 'schema' => ['type' => 'string']];
        }

        return $said === [] ? [] : ['headers' => $said];
    }

    private function given(string $in, string $name): mixed
    {
        $part = $this->request[$in] ?? null;

        return is_array($part) ? $part[$name] ?? null : null;
    }

    /** @return array<string, mixed> */
    private static function example(mixed $example): array
    {
        return $example === null ? [] : ['example' => $example];
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private static function schema(string $class, string $type): array
    {
        return str_contains($type, 'json') ? ['$ref' => '#/components/schemas/'.Shapes::nameOf($class)] : ['type' => 'string'];
    }
}
