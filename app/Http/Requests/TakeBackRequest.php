<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Revision;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Which revision is to be live again, and which one is so as far as the editor saw. */
final class TakeBackRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['live' => ['required', 'integer'], 'number' => ['required', 'integer', 'max:'.Revision::MOST], 'note' => ['nullable', 'string', 'max:255'], 'receipt' => ['nullable', 'string', 'max:200']];
    }

    /** Of the rehearsal that was shown. */
    public function receipt(): ?string
    {
        return $this->filled('receipt') ? $this->string('receipt')->toString() : null;
    }

    public function note(): ?string
    {
        return $this->filled('note') ? $this->string('note')->toString() : null;
    }
}
