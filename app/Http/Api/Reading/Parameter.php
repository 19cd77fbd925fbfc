<?php

declare(strict_types=1);

namespace App\Http\Api\Reading;

use Attribute;

/** What may stand in the query of an address: by this it is read, and told of in the document that describes the interface. */
#[Attribute(Attribute::TARGET_METHOD | Attribute::IS_REPEATABLE)]
final readonly class Parameter
{
    /** @param  list<string>  $oneOf  of a text: all that it may be */
    public function __construct(public string $name, public string $says, public ParameterType $type = ParameterType::Text, public bool $required = false, public array $oneOf = [])
    {
    }

    /** @return array<string, mixed> JSON Schema */
    public function schema(): array
    {
        return $this->oneOf === [] ? $this->type->schema() : ['type' => 'string', 'enum' => $this->oneOf];
    }
}
