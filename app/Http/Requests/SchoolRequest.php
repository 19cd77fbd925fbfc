<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Holidays;
use App\Models\Language;
use App\Words\Say;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class SchoolRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:100'],
            'currency' => ['required', 'string', 'regex:/^[A-Z]{3}$/D'],
            'language' => ['sometimes', 'required', Rule::enum(Language::class)],
            'guests' => ['required', 'boolean'],
            'contactName' => ['nullable', 'string', 'max:100'],
            'contactEmail' => ['nullable', 'email', 'max:190'],
            'senderName' => ['nullable', 'string', 'max:100', 'not_regex:/[<>"\r\n]/'],
            'senderEmail' => ['nullable', 'email', 'max:190'],
            'replyEmail' => ['nullable', 'email', 'max:190'],
            'warnDays' => ['required', 'integer', 'between:0,365'],
            'graceDays' => ['required', 'integer', 'between:0,3650'],
            'missedDays' => ['sometimes', 'required', 'integer', 'between:0,90'],
            'samplePercent' => ['sometimes', 'required', 'integer', 'between:0,100'],
            'holidays' => ['nullable', 'string', 'max:5000', static function (string $attribute, mixed $value, Closure $fail): void {
                foreach (self::lines(is_string($value) ? $value : '') as $line) {
                    if (! Holidays::isOne($line)) {
                        $fail(Say::text('refused.school_request.no_holiday', ['line' => $line]));

                        return;
                    }
                }
            }],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.required' => Say::text('refused.school_request.school_needs_name'), 'currency.required' => Say::text('refused.school_request.please_say_in_which'), 'currency.regex' => Say::text('refused.school_request.three_capital_letters_such'), 'contactEmail.email' => Say::text('refused.school_request.not_e_mail_address'), 'senderEmail.email' => Say::text('refused.school_request.not_e_mail_address'), 'replyEmail.email' => Say::text('refused.school_request.not_e_mail_address'), 'senderName.not_regex' => Say::text('refused.school_request.sender_name'), 'warnDays.between' => Say::text('refused.school_request.between_none_and_365'), 'graceDays.between' => Say::text('refused.school_request.between_none_and_ten'), 'missedDays.between' => Say::text('refused.school_request.between_none_and_90'), 'samplePercent.between' => Say::text('refused.school_request.between_none_and_all')];
    }

    /** @return list<string> */
    private static function lines(string $text): array
    {
        return array_values(array_filter(array_map(static fn (string $line): string => (string) preg_replace('/\s+/', '', $line), explode("\n", $text)), static fn (string $line): bool => $line !== ''));
    }

    /** @return array<string, mixed> as the school has it */
    public function columns(): array
    {
        $text = fn (string $key): ?string => $this->filled($key) ? $this->string($key)->trim()->toString() : null;

        return [
            'name' => $this->string('name')->trim()->toString(), 'currency' => $this->string('currency')->toString(), 'guests' => $this->boolean('guests'), 'contact_name' => $text('contactName'), 'contact_email' => $text('contactEmail'),
            'warn_days' => $this->integer('warnDays'), 'grace_days' => $this->integer('graceDays'),
            ...($this->has('senderName') ? ['sender_name' => $text('senderName'), 'sender_email' => $text('senderEmail'), 'reply_email' => $text('replyEmail')] : []),
            ...($this->has('language') ? ['language' => $this->string('language')->toString()] : []),
            ...($this->has('holidays') ? ['holidays' => self::lines($this->string('holidays')->toString())] : []),
            ...($this->has('samplePercent') ? ['sample_share' => $this->integer('samplePercent') / 100] : []),
            ...($this->has('missedDays') ? ['missed_days' => $this->integer('missedDays')] : []),
        ];
    }
}
