<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

final class SchoolRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/D'],
            'guests' => ['required', 'boolean'],
            'contactName' => ['nullable', 'string', 'max:100'],
            'contactEmail' => ['nullable', 'email', 'max:190'],
            'warnDays' => ['required', 'integer', 'between:0,365'],
            'graceDays' => ['required', 'integer', 'between:0,3650'],
            'missedDays' => ['sometimes', 'required', 'integer', 'between:0,90'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => 'A school needs a name.', 'currency.required' => 'Please say in which currency it sells.', 'currency.regex' => 'Three capital letters, such as EUR.', 'contactEmail.email' => 'This is not an e-mail address.', 'warnDays.between' => 'Between none and 365 days.', 'graceDays.between' => 'Between none and ten years.', 'missedDays.between' => 'Between none and 90 days.'];
    }

    /** @return array<string, mixed> as the school has it */
    public function columns(): array
    {
        $text = fn (string $key): ?string => $this->filled($key) ? $this->string($key)->trim()->toString() : null;

        return [
            'name' => $this->string('name')->trim()->toString(), 'currency' => $this->string('currency')->toString(), 'guests' => $this->boolean('guests'), 'contact_name' => $text('contactName'), 'contact_email' => $text('contactEmail'),
            'warn_days' => $this->integer('warnDays'), 'grace_days' => $this->integer('graceDays'),
            ...($this->has('missedDays') ? ['missed_days' => $this->integer('missedDays')] : []),
        ];
    }
}
