<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\OutsideSystem;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** A system of others that is to be told. */
final class OutsideRequest extends FormRequest
{
    /** An address of the web without a name and a password in it. */
    private const ADDRESS = '~^https?://[^/@\s]+(?:/\S*)?$~Di';

    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $system = $this->route('system');

        return [
            'version' => ['nullable', 'integer'],
            'name' => ['required', 'string', 'max:100', Rule::unique('outside_systems', 'name')->ignore($system instanceof OutsideSystem ? $system->id : null)],
            'address' => ['required', 'string', 'max:2000', 'url:http,https', 'regex:'.self::ADDRESS],
            'on' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('refused.outside_request.needs_name'),
            'name.unique' => Say::text('refused.outside_request.name_taken'),
            'address.*' => Say::text('refused.outside_request.address'),
        ];
    }
}
