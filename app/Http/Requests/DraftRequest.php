<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Something done to a draft as a whole, as its editor saw it. */
final class DraftRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0'], 'note' => ['nullable', 'string', 'max:255'], 'receipt' => ['nullable', 'string', 'max:200']];
    }

    public function version(): int
    {
        return $this->integer('version');
    }

    public function note(): ?string
    {
        return $this->filled('note') ? $this->string('note')->toString() : null;
    }

    /** Of the rehearsal that was shown. */
    public function receipt(): ?string
    {
        return $this->filled('receipt') ? $this->string('receipt')->toString() : null;
    }
}
