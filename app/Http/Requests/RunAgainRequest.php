<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class RunAgainRequest extends FormRequest
{
    /** Whoever may see all looks at where dates would go. */
    public function authorize(): Response
    {
        return $this->isMethod('GET') ? Response::allow() : Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'first' => ['required', 'string', 'date_format:Y-m-d', 'after_or_equal:1971-01-01', 'before:2200-01-01'],
            'weekdays' => ['nullable', 'boolean'],
            'holidays' => ['nullable', 'boolean'],
            'as' => ['nullable', Rule::in(['draft', 'course'])],
            'title' => ['nullable', 'required_if:as,course', 'string', 'max:255'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'first.*' => Say::text('refused.run_again_request.on_which_day'),
            'title.required_if' => Say::text('refused.run_again_request.needs_title'),
        ];
    }

    /** YYYY-MM-DD */
    public function first(): string
    {
        return $this->string('first')->toString();
    }

    public function keepsWeekdays(): bool
    {
        return $this->boolean('weekdays');
    }

    public function skipsHolidays(): bool
    {
        return $this->boolean('holidays');
    }

    public function title(): string
    {
        return $this->string('title')->trim()->toString();
    }
}
