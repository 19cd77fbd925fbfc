<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A file of people. */
final class ImportRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['file' => ['required', 'file', 'max:102400']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['file.required' => Say::text('refused.import_request.please_choose_a_file'), 'file.max' => Say::text('refused.import_request.file_may_have_100')];
    }
}
