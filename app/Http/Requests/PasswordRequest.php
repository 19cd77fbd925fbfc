<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Person;
use Illuminate\Foundation\Http\FormRequest;

/** A new password, by whoever knows the present one, where there is one. */
final class PasswordRequest extends FormRequest
{
    public function authorize(): bool
    {
        // What was typed may be somebody else's address still.
        return $this->user() instanceof Person && $this->user()->isConfirmed();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $has = $this->user() instanceof Person && $this->user()->password !== null;

        return ['current' => $has ? ['required', 'string', 'current_password'] : ['nullable'], 'password' => ['required', 'string', 'min:12', 'max:200', 'confirmed']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'current.required' => 'Please type the password that you have now.',
            'current.current_password' => 'This is not the password that you have now.',
            'password.required' => 'Please type a new password.',
            'password.min' => 'Please take at least twelve characters; a few words make a good one.',
            'password.confirmed' => 'The two are not the same.',
        ];
    }

    public function newPassword(): string
    {
        return $this->string('password')->toString();
    }
}
