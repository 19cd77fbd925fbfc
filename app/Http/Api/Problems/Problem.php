<?php

declare(strict_types=1);

namespace App\Http\Api\Problems;

use App\Words\Say;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** What was asked cannot be answered, and why: RFC 9457. */
final class Problem extends HttpException
{
    /**
     * @param  list<array{pointer: string, detail: string}>  $errors  where in the body, as JSON pointers
     * @param  array<string, string>  $headers
     */
    public function __construct(public readonly ProblemKind $kind, public readonly string $detail = '', public readonly array $errors = [], array $headers = [], public readonly ?string $parameter = null)
    {
        parent::__construct($kind->status(), $detail, headers: $headers);
    }

    /** At one member of the body. */
    public static function at(string $pointer, string $detail): self
    {
        return new self(ProblemKind::Invalid, Say::text('interface.problems_told.body'), [['pointer' => $pointer, 'detail' => $detail]]);
    }

    /** At one parameter of the address. */
    public static function parameter(string $name, string $detail): self
    {
        return new self(ProblemKind::Invalid, $detail, parameter: $name);
    }
}
