<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Http\Text;
use App\School\BeginSchool;
use App\Words\Say;
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
        return self::refusals();
    }

    /** @return array<string, string> by field and rule */
    public static function refusals(): array
    {
        return [
            'name.required' => Say::text('refused.begin_request.name_required'),
            'zone.required' => Say::text('refused.begin_request.zone_required'),
            'zone.timezone' => Say::text('refused.begin_request.zone_timezone'),
            'currency.required' => Say::text('refused.begin_request.currency_required'),
            'currency.regex' => Say::text('refused.begin_request.currency_regex'),
            'administrator.required' => Say::text('refused.begin_request.administrator_required'),
            'email.required' => Say::text('refused.begin_request.email_required'),
            'email.email' => Say::text('refused.begin_request.email_email'),
            'password.required' => Say::text('refused.begin_request.password_required'),
            'password.min' => Say::text('refused.begin_request.password_min'),
        ];
    }

    /** @return array<string, string> */
    public function said(): array
    {
        return array_map(static fn (mixed $value): string => is_string($value) ? $value : '', $this->safe(array_keys(self::RULES)));
    }
}
