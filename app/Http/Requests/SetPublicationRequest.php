<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** When a draft is to go live, in the school's wall-clock time. */
final class SetPublicationRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['version' => ['required', 'integer', 'min:0'], 'at' => ['required', 'date_format:Y-m-d\TH:i'], 'note' => ['nullable', 'string', 'max:255'], 'receipt' => ['nullable', 'string', 'max:200']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['at.required' => Say::text('refused.set_publication_request.please_say_on_which'), 'at.date_format' => Say::text('refused.not_date_and_time'), 'note.max' => Say::text('refused.set_publication_request.that_longer_than_255')];
    }

    public function at(SchoolClock $clock): int
    {
        return $clock->instant($this->string('at')->toString()) ?? 0;
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
