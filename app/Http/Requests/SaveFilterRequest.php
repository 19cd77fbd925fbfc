<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Foundation\Http\FormRequest;

final class SaveFilterRequest extends FormRequest
{
    use ReadsPeopleFilter;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:60'], 'filter' => ['present', 'array']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => Say::text('refused.save_filter_request.please_give_name'), 'name.max' => Say::text('refused.save_filter_request.that_long_name_60')];
    }

    public function name(): string
    {
        return $this->string('name')->trim()->toString();
    }

    /** As the address of the list has it. */
    public function filterQuery(): string
    {
        return http_build_query(self::askedOf((array) $this->input('filter')));
    }
}
