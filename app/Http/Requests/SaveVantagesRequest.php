<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Sightlines\Vantages\VantagePoint;
use App\Sightlines\Vantages\Vantages;
use App\Words\Say;
use Illuminate\Foundation\Http\FormRequest;

final class SaveVantagesRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'vantages' => ['required', 'array', 'min:1', 'max:'.Vantages::MOST],
            'vantages.*' => ['string', static function (string $field, mixed $value, \Closure $fail): void {
                if (! is_string($value) || VantagePoint::parse($value) === null) {
                    $fail(Say::text('refused.save_vantages_request.this_is_no_vantage'));
                }
            }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('refused.save_vantages_request.please_give_name'),
            'name.max' => Say::text('refused.save_vantages_request.that_long_name_60'),
            'vantages.required' => Say::text('refused.save_vantages_request.there_no_vantage_keep'),
        ];
    }

    public function name(): string
    {
        return $this->string('name')->trim()->toString();
    }

    /** @return list<string> */
    public function vantages(): array
    {
        return array_values(array_filter((array) $this->input('vantages'), is_string(...)));
    }
}
