<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Events\Lockout;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Validation\ValidationException;

final class SignInRequest extends FormRequest
{
    private const ATTEMPTS = 5;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email'], 'password' => ['required', 'string']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => Say::text('learner.asked.email'),
            'email.email' => Say::text('learner.asked.no_email'),
            'password.required' => Say::text('learner.asked.password'),
        ];
    }

    /** @throws ValidationException if the two do not belong together, or it was tried too often */
    public function signIn(): void
    {
        $key = 'sign-in|'.mb_strtolower($this->string('email')->toString()).'|'.$this->ip();
        if (RateLimiter::tooManyAttempts($key, self::ATTEMPTS)) {
            event(new Lockout($this));
            throw ValidationException::withMessages(['email' => Say::text('learner.asked.too_many', ['seconds' => RateLimiter::availableIn($key)])]);
        }
        $credentials = ['email' => mb_strtolower($this->string('email')->toString()), 'password' => $this->string('password')->toString()];
        if (! Auth::attempt($credentials, $this->boolean('remember'))) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => Say::text('learner.asked.not_together')]);
        }
        RateLimiter::clear($key);
    }
}
