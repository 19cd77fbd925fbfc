<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\WhoLooks;
use App\Words\Say;
use Illuminate\Foundation\Http\FormRequest;

/** Who has an account has said already who they are. */
final class NextRunRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return WhoLooks::person($this) !== null ? [] : [
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email', 'max:190'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('learner.next_run.no_name'),
            'email.required' => Say::text('learner.next_run.no_email'),
            'email.email' => Say::text('learner.next_run.bad_email'),
        ];
    }

    /** @return array{string, string} name and address */
    public function said(): array
    {
        return [$this->string('name')->trim()->toString(), $this->string('email')->trim()->toString()];
    }
}
