<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Http\Api\Problems\Problem;
use App\Http\Api\Problems\ProblemKind;
use App\Words\Say;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;
use stdClass;

/** What was sent, as an object of the class that describes it. Its attributes are the schema by which it is checked. */
final class Body
{
    private const DEEPEST = 128;

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T
     *
     * @throws Problem with a JSON pointer for each thing that is wrong
     */
    public static function as(Request $request, string $class): object
    {
        self::type($request);

        return self::of($request->getContent(), $class);
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T
     *
     * @throws Problem likewise
     */
    public static function of(string $json, string $class): object
    {
        $given = self::decoded($json);
        $errors = Schemas::errors($given, class_basename($class));
        if ($errors !== [] || ! $given instanceof stdClass) {
            throw new Problem(ProblemKind::Invalid, Say::text('interface.problems_told.body'), $errors);
        }

        return self::made($class, $given);
    }

    /**
     * Whatever JSON it is, its objects as `stdClass`.
     *
     * @throws Problem
     */
    public static function json(Request $request, string ...$types): mixed
    {
        self::type($request, ...$types);

        return self::decoded($request->getContent());
    }

    /** @throws Problem if it is of another type than those */
    public static function type(Request $request, string ...$types): void
    {
        $type = strtolower(trim(explode(';', (string) $request->headers->get('Content-Type'))[0]));
        if (! in_array($type, $types === [] ? ['application/json'] : $types, true)) {
            throw new Problem(ProblemKind::WrongType, Say::text('interface.problems_told.type', ['type' => $types[0] ?? 'application/json']));
        }
    }

    /** @throws Problem */
    public static function decoded(string $json): mixed
    {
        try {
            return json_decode($json, false, self::DEEPEST, JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING);
        } catch (\JsonException $e) {
            throw new Problem(ProblemKind::NotJson, $e->getMessage());
        }
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $class
     * @return T
     */
    private static function made(string $class, stdClass $given): object
    {
        $arguments = [];
        foreach ((new ReflectionClass($class))->getConstructor()?->getParameters() ?? [] as $parameter) {
            if (property_exists($given, $parameter->getName())) {
                $arguments[$parameter->getName()] = self::value($given->{$parameter->getName()}, $parameter);
            }
        }

        return new $class(...$arguments);
    }

    private static function value(mixed $given, ReflectionParameter $parameter): mixed
    {
        $type = $parameter->getType();
        if ($given instanceof stdClass && $type instanceof ReflectionNamedType && class_exists($type->getName()) && $type->getName() !== stdClass::class) {
            return self::made($type->getName(), $given);
        }
        if (is_array($given)) {
            $of = self::itemsOf($parameter);

            return array_map(static fn (mixed $one): mixed => $of !== null && $one instanceof stdClass ? self::made($of, $one) : $one, $given);
        }

        return $given;
    }

    /** @return ?class-string */
    private static function itemsOf(ReflectionParameter $parameter): ?string
    {
        $attributes = $parameter->getAttributes(OA\Property::class);
        $items = $attributes === [] ? null : ($attributes[0]->getArguments()['items'] ?? null);
        $of = $items instanceof OA\Items ? $items->ref : null;

        return is_string($of) && class_exists($of) ? $of : null;
    }
}
