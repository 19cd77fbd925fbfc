<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\Models\Course;
use App\Notices\Circles;
use App\Notices\NoticeCase;
use App\Notices\NoticePlace;
use App\Notices\Parts\ButtonDoes;
use App\Notices\Parts\Part;
use App\Notices\Parts\PartKind;
use App\Notices\Placeholders;
use App\Words\Say;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class NoticeRequest extends FormRequest
{
    /** A page of ours, or one elsewhere that cannot be read on the way. */
    private const ADDRESS = '^(/(?![/\\\\])|https://[^/\s])[^\s\\\\]*$';

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    public function case(): NoticeCase
    {
        $case = $this->route('case');

        return NoticeCase::tryFrom(is_string($case) ? $case : '') ?? abort(404);
    }

    public function place(): NoticePlace
    {
        $course = $this->route('course');

        return $course instanceof Course ? NoticePlaces::of($this, $course) : NoticePlace::school();
    }

    /** @return list<\Closure(\Illuminate\Validation\Validator): void> */
    public function after(Circles $circles, SchoolClock $clock): array
    {
        return [function ($validator) use ($circles, $clock): void {
            $address = $this->input('address');
            if ($this->input('way') === 'address' && is_string($address) && $validator->errors()->isEmpty() && $circles->leadBack($this->place(), $this->case(), $address, $clock->now())) {
                $validator->errors()->add('address', Say::text('refused.notice_request.in_a_circle'));
            }
        }];
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
                $fail(Say::text('refused.notice_request.nothing_stands_for', ['name' => "{{$unknown[0]}}", 'known' => implode(', ', array_map(static fn (string $name): string => "{{$name}}", Placeholders::KNOWN))]));
            }
        };

        return [
            'version' => ['required', 'integer'],
            'way' => ['required', Rule::in(['show', 'address', ...($this->case()->canSendToSignIn() ? ['sign-in'] : [])])],
            'heading' => ['nullable', 'string', 'max:200', $known],
            'text' => ['nullable', 'string', 'max:5000', $known],
            'address' => ['nullable', 'required_if:way,address', 'string', 'max:500', 'regex:~'.self::ADDRESS.'~i'],
            'parts' => ['nullable', 'array', 'list', 'max:20', self::eachOnce(...)],
            'parts.*.kind' => ['required', 'string', Rule::enum(PartKind::class)],
            'parts.*.text' => ['nullable', 'string', 'max:5000', 'required_if:parts.*.kind,heading,text,button', $known],
            'parts.*.does' => ['nullable', 'required_if:parts.*.kind,button', Rule::enum(ButtonDoes::class)],
            'parts.*.to' => ['nullable', 'string', 'max:500', 'required_if:parts.*.kind,button', $this->leads(...)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'way.in' => Say::text('refused.notice_request.whoever_meets_signed_in'),
            'address.required_if' => Say::text('refused.notice_request.please_type_the_address'),
            'address.regex' => Say::text('refused.notice_request.address_site_that_begins'),
            'heading.max' => Say::text('refused.notice_request.at_most_200_characters'),
            'parts.max' => Say::text('refused.notice_request.at_most_20_parts'),
            'parts.*.text.required_if' => Say::text('refused.notice_request.part_needs_words'),
            'parts.*.does.required_if' => Say::text('refused.notice_request.button_needs_to'),
            'parts.*.to.required_if' => Say::text('refused.notice_request.button_needs_to'),
            'text.max' => Say::text('refused.notice_request.at_most_5_000'),
        ];
    }

    /** @return array{way: string, heading: string, text: string, address: ?string, parts: ?string} */
    public function words(): array
    {
        return [
            'way' => $this->string('way')->toString(),
            'heading' => $this->string('heading')->trim()->toString(),
            'text' => $this->string('text')->trim()->toString(),
            'address' => $this->string('way')->toString() === 'address' ? $this->string('address')->toString() : null,
            'parts' => $this->filled('parts') ? Part::toJson(NoticeParts::of($this)) : null,
        ];
    }

    /** What the program puts there stands there once. */
    private static function eachOnce(string $attribute, mixed $value, Closure $fail): void
    {
        $kinds = array_map(static fn (mixed $part): ?PartKind => is_array($part) && is_string($part['kind'] ?? null) ? PartKind::tryFrom($part['kind']) : null, is_array($value) ? $value : []);
        $once = array_map(static fn (PartKind $kind): string => $kind->value, array_filter($kinds, static fn (?PartKind $kind): bool => $kind !== null && ! $kind->isWritten()));
        if (count(array_unique($once)) < count($once)) {
            $fail(Say::text('refused.notice_request.part_twice'));
        }
    }

    /** Where a button leads, by what it does. */
    private function leads(string $attribute, mixed $value, Closure $fail): void
    {
        $does = $this->input(str_replace('.to', '.does', $attribute));
        $to = is_string($value) ? $value : '';
        $right = match (is_string($does) ? ButtonDoes::tryFrom($does) : null) {
            ButtonDoes::Address => preg_match('~'.self::ADDRESS.'~i', $to) === 1,
            ButtonDoes::Mail => filter_var($to, FILTER_VALIDATE_EMAIL) !== false,
            ButtonDoes::Lesson, ButtonDoes::Offer => $this->place()->course !== null,
            null => true,
        };
        if (! $right) {
            $fail(Say::text('refused.notice_request.button_needs_to'));
        }
    }
}
