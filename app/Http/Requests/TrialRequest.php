<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A trial that is being thought of. */
final class TrialRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['days' => ['required', 'integer', 'between:1,3660'], 'tier' => ['nullable', 'string'], 'plan' => ['nullable', 'string']];
    }

    public function text(string $key): ?string
    {
        return $this->filled($key) ? $this->string($key)->toString() : null;
    }
}
