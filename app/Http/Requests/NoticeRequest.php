<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Notices\NoticeCase;
use App\Notices\Placeholders;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class NoticeRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    public function case(): NoticeCase
    {
        $case = $this->route('case');

        return NoticeCase::tryFrom(is_string($case) ? $case : '') ?? abort(404);
    }

    /** Our own pages are kept by their path alone. */
    protected function prepareForValidation(): void
    {
        $address = $this->input('address');
        $ours = $this->getSchemeAndHttpHost();
        if (is_string($address) && str_starts_with($address, "{$ours}/")) {
            $this->merge(['address' => substr($address, strlen($ours))]);
        }
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $known = static function (string $attribute, mixed $value, Closure $fail): void {
            $unknown = Placeholders::unknownIn(is_string($value) ? $value : '');
            if ($unknown !== []) {
                $fail('Nothing stands for {'.$unknown[0].'}. Known are '.implode(', ', array_map(static fn (string $name): string => '{'.$name.'}', array_keys(Placeholders::KNOWN))).'.');
            }
        };

        return [
            'version' => ['required', 'integer'],
            'way' => ['required', Rule::in(['show', 'address', ...($this->case()->canSendToSignIn() ? ['sign-in'] : [])])],
            'heading' => ['nullable', 'string', 'max:200', $known],
            'text' => ['nullable', 'string', 'max:5000', $known],
            // A page of ours, or one elsewhere that cannot be read on the way.
            'address' => ['nullable', 'required_if:way,address', 'string', 'max:500', 'regex:~^(/(?![/\\\\])|https://[^/\s])[^\s\\\\]*$~i'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'way.in' => 'Whoever meets this is signed in already.',
            'address.required_if' => 'Please type the address.',
            'address.regex' => 'An address of this site that begins with /, or one that begins with https://.',
            'heading.max' => 'At most 200 characters.',
            'text.max' => 'At most 5,000 characters.',
        ];
    }

    /** @return array{way: string, heading: string, text: string, address: ?string} */
    public function words(): array
    {
        return [
            'way' => $this->string('way')->toString(),
            'heading' => $this->string('heading')->trim()->toString(),
            'text' => $this->string('text')->trim()->toString(),
            'address' => $this->string('way')->toString() === 'address' ? $this->string('address')->toString() : null,
        ];
    }
}
