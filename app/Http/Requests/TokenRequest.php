<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\School\Tokens\Ability;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** A token that is to be made. */
final class TokenRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'abilities' => ['required', 'array', 'list', 'min:1'],
            'abilities.*' => ['required', 'string', 'distinct', Rule::enum(Ability::class)],
            'until' => ['nullable', 'date_format:Y-m-d'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('refused.token_request.needs_name'),
            'abilities.*' => Say::text('refused.token_request.needs_ability'),
            'until.date_format' => Say::text('refused.token_request.no_date'),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $until = $validator->errors()->isEmpty() ? $this->until(app(SchoolClock::class)) : null;
            if ($until !== null && $until <= app(SchoolClock::class)->now()) {
                $validator->errors()->add('until', Say::text('refused.token_request.over'));
            }
        });
    }

    /** @return list<Ability> */
    public function abilities(): array
    {
        return array_values(array_filter(Ability::cases(), fn (Ability $ability): bool => in_array($ability->value, (array) $this->input('abilities'), true)));
    }

    /** The first instant at which it does not hold any more: that of the day after. */
    public function until(SchoolClock $clock): ?int
    {
        $day = $this->filled('until') ? $clock->instant($this->string('until')->toString().'T00:00') : null;

        return $day === null ? null : $clock->plusDays($day, 1);
    }
}
