<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sightlines\Vantages\VantagePoint;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Something that is to stay so. */
final class ExpectationRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'vantage' => ['required', 'string', static function (string $field, mixed $value, \Closure $fail): void {
                if (! is_string($value) || VantagePoint::parse($value) === null) {
                    $fail(Say::text('refused.expectation_request.this_is_no_vantage'));
                }
            }],
            'item' => ['required', 'string', 'max:255'],
            'must' => ['required', Rule::in(['open', 'closed', 'never'])],
        ];
    }
}
