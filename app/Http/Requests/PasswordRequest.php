<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Person;
use App\Words\Say;
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
            'current.required' => Say::text('learner.asked.current'),
            'current.current_password' => Say::text('learner.asked.not_current'),
            'password.required' => Say::text('learner.asked.new_password'),
            'password.min' => Say::text('learner.asked.longer'),
            'password.confirmed' => Say::text('learner.asked.not_the_same'),
        ];
    }

    public function newPassword(): string
    {
        return $this->string('password')->toString();
    }
}
