<?php

declare(strict_types=1);

namespace App\Http\Requests;

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
            'email.required' => 'Please type your e-mail address.',
            'email.email' => 'This is not an e-mail address.',
            'password.required' => 'Please type your password.',
        ];
    }

    /** @throws ValidationException if the two do not belong together, or it was tried too often */
    public function signIn(): void
    {
        $key = 'sign-in|'.mb_strtolower($this->string('email')->toString()).'|'.$this->ip();
        if (RateLimiter::tooManyAttempts($key, self::ATTEMPTS)) {
            event(new Lockout($this));
            throw ValidationException::withMessages(['email' => 'Too many attempts. Try again in '.RateLimiter::availableIn($key).' seconds.']);
        }
        $credentials = ['email' => mb_strtolower($this->string('email')->toString()), 'password' => $this->string('password')->toString()];
        if (! Auth::attempt($credentials, $this->boolean('remember'))) {
            RateLimiter::hit($key);
            throw ValidationException::withMessages(['email' => 'This e-mail address and password do not belong together.']);
        }
        RateLimiter::clear($key);
    }
}
