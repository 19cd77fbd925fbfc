<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use App\Http\Api\Problems\Problem;
use App\Words\Say;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use ReflectionMethod;
use SilentKeep\Core\Time\Instant;
use SilentKeep\Core\Time\InvalidTime;

/** The query of an address, read as the attributes of its controller say. What they do not name is refused, not passed over. */
final readonly class Asked
{
    /** @param  array<string, string|int|bool>  $values  instants as seconds */
    private function __construct(private array $values)
    {
    }

    /** @throws Problem at the parameter that is not what it should be */
    public static function of(Request $request): self
    {
        $given = $request->query->all();
        $values = [];
        foreach (self::parameters($request->route()) as $parameter) {
            $value = $given[$parameter->name] ?? null;
            unset($given[$parameter->name]);
            if ($value !== null) {
                $values[$parameter->name] = is_string($value) ? self::read($parameter, $value) : throw Problem::parameter($parameter->name, Say::text('interface.parameters_told.once'));
            } elseif ($parameter->required) {
                throw Problem::parameter($parameter->name, Say::text('interface.parameters_told.required'));
            }
        }
        if ($given !== []) {
            throw Problem::parameter(mb_substr((string) array_key_first($given), 0, 60), Say::text('interface.parameters_told.unknown'));
        }

        return new self($values);
    }

    public function text(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return is_string($value) ? $value : null;
    }

    /** Of an instant: its seconds. */
    public function number(string $name): ?int
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) ? $value : null;
    }

    public function is(string $name): bool
    {
        return ($this->values[$name] ?? false) === true;
    }

    /** @return list<Parameter> */
    private static function parameters(mixed $route): array
    {
        $controller = $route instanceof Route ? explode('@', $route->getActionName()) : [];

        return count($controller) === 2 ? self::parametersOf($controller[0], $controller[1]) : [];
    }

    /** @return list<Parameter> */
    public static function parametersOf(string $class, string $method): array
    {
        $found = [];
        foreach ((new ReflectionMethod($class, $method))->getAttributes(Parameter::class) as $attribute) {
            $found[] = $attribute->newInstance();
        }

        return $found;
    }

    private static function read(Parameter $parameter, string $value): string|int|bool
    {
        if ($parameter->oneOf !== []) {
            return in_array($value, $parameter->oneOf, true) ? $value : throw Problem::parameter($parameter->name, Say::text('interface.refused.enum', ['allowed' => implode(', ', $parameter->oneOf)]));
        }
        $read = match ($parameter->type) {
            ParameterType::Text => $value !== '' && mb_strlen($value) <= 2000 ? $value : null,
            ParameterType::Number => preg_match('/^[1-9]\d{0,9}$/D', $value) === 1 && (int) $value <= 2_147_483_647 ? (int) $value : null,
            ParameterType::Instant => self::instant($value),
            ParameterType::Flag => ['true' => true, 'false' => false][$value] ?? null,
        };

        return $read ?? throw Problem::parameter($parameter->name, Say::text('interface.parameters_told.'.strtolower($parameter->type->name)));
    }

    private static function instant(string $value): ?int
    {
        try {
            return Instant::parse($value);
        } catch (InvalidTime) {
            return null;
        }
    }
}
