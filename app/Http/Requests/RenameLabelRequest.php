<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Another name for a label. */
final class RenameLabelRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'from' => ['required', 'string', 'max:255'],
            'to' => ['required', 'string', 'max:60', 'regex:/^[^,]+$/u', 'different:from'],
            'together' => ['boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['to.required' => Say::text('school_told.labels.needs_name'), 'to.regex' => Say::text('school_told.labels.no_comma'), 'to.different' => Say::text('school_told.labels.same')];
    }
}
