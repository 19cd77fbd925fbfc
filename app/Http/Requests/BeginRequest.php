<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Text;
use App\School\BeginSchool;
use Illuminate\Foundation\Http\FormRequest;

/** What a school is told when it begins. */
final class BeginRequest extends FormRequest
{
    public const RULES = [
        'name' => ['required', 'string', 'max:100'],
        'zone' => ['required', 'string', 'timezone:all'],
        'currency' => ['required', 'string', 'regex:/^[A-Za-z]{3}$/D'],
        'administrator' => ['required', 'string', 'max:200'],
        'email' => ['required', 'string', 'email', 'max:190'],
        'password' => ['required', 'string', 'min:12', 'max:200'],
    ];

    public const MESSAGES = [
        'name.required' => 'A school needs a name.',
        'zone.required' => 'Please choose the zone in which its times are.',
        'zone.timezone' => 'This is not a time zone such as Europe/Oslo.',
        'currency.required' => 'Please say in which currency it sells.',
        'currency.regex' => 'Three letters, such as EUR.',
        'administrator.required' => 'Please say who runs it.',
        'email.required' => 'Please give the address by which they sign in.',
        'email.email' => 'This is not an e-mail address.',
        'password.required' => 'Please choose a password.',
        'password.min' => 'Please take at least twelve characters; a few words make a good one.',
    ];

    public function authorize(BeginSchool $begin): bool
    {
        return $begin->opens(Text::of($this, 'code', 100));
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return self::RULES;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::MESSAGES;
    }

    /** @return array<string, string> */
    public function said(): array
    {
        return array_map(static fn (mixed $value): string => is_string($value) ? $value : '', $this->safe(array_keys(self::RULES)));
    }
}
