<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Notices\Parts\ButtonDoes;
use App\Notices\Parts\PartKind;
use App\Notices\Placeholders;
use App\School\Pictures\Pictures;
use App\Words\Say;
use Closure;
use Illuminate\Contracts\Validation\DataAwareRule;
use Illuminate\Contracts\Validation\ValidationRule;
use Illuminate\Validation\Rule;

/** What words of a notice may be, wherever they stand. */
final class NoticeWordRules implements DataAwareRule, ValidationRule
{
    /** A page of ours, or one elsewhere that cannot be read on the way. */
    public const ADDRESS = '^(/(?![/\\\\])|https://[^/\s])[^\s\\\\]*$';

    /** @var array<array-key, mixed> */
    private array $data = [];

    /** @param  Closure(): bool  $inCourse  whether its buttons can lead to rows and offers of a course */
    private function __construct(private readonly Closure $inCourse)
    {
    }

    /**
     * @param  Closure(): bool  $inCourse
     * @return array<string, list<mixed>>
     */
    public static function of(Closure $inCourse): array
    {
        $known = static function (string $attribute, mixed $value, Closure $fail): void {
            $unknown = Placeholders::unknownIn(is_string($value) ? $value : '');
            if ($unknown !== []) {
                $fail(Say::text('refused.notice_request.nothing_stands_for', ['name' => "{{$unknown[0]}}", 'known' => implode(', ', array_map(static fn (string $name): string => "{{$name}}", Placeholders::KNOWN))]));
            }
        };

        return [
            'titled' => ['sometimes', 'boolean'],
            'heading' => ['nullable', 'string', 'max:200', $known],
            'text' => ['nullable', 'string', 'max:5000', $known],
            'parts' => ['nullable', 'array', 'list', 'max:20', self::eachOnce(...)],
            'parts.*.kind' => ['required', 'string', Rule::enum(PartKind::class)],
            'parts.*.text' => ['nullable', 'string', 'max:5000', 'required_if:parts.*.kind,heading,text,button', $known],
            'parts.*.does' => ['nullable', 'required_if:parts.*.kind,button', Rule::enum(ButtonDoes::class)],
            'parts.*.to' => ['nullable', 'string', 'max:500', 'required_if:parts.*.kind,button,picture', new self($inCourse)],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'heading.max' => Say::text('refused.notice_request.at_most_200_characters'),
            'text.max' => Say::text('refused.notice_request.at_most_5_000'),
            'parts.max' => Say::text('refused.notice_request.at_most_20_parts'),
            'parts.*.text.required_if' => Say::text('refused.notice_request.part_needs_words'),
            'parts.*.does.required_if' => Say::text('refused.notice_request.button_needs_to'),
            'parts.*.to.required_if' => Say::text('refused.notice_request.part_needs_to'),
        ];
    }

    /** @param  array<array-key, mixed>  $data */
    public function setData(array $data): static
    {
        $this->data = $data;

        return $this;
    }

    /** Where a button leads, by what it does; which picture it is. */
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $part = data_get($this->data, substr($attribute, 0, -strlen('.to')));
        [$kind, $does] = is_array($part) ? [$part['kind'] ?? null, $part['does'] ?? null] : [null, null];
        $to = is_string($value) ? $value : '';
        if ($kind === PartKind::Picture->value) {
            app(Pictures::class)->find($to) === null ? $fail(Say::text('refused.picture.not_there')) : null;

            return;
        }
        $right = match (is_string($does) ? ButtonDoes::tryFrom($does) : null) {
            ButtonDoes::Address => preg_match('~'.self::ADDRESS.'~i', $to) === 1,
            ButtonDoes::Mail => filter_var($to, FILTER_VALIDATE_EMAIL) !== false,
            ButtonDoes::Lesson, ButtonDoes::Offer => ($this->inCourse)(),
            null => true,
        };
        if (! $right) {
            $fail(Say::text('refused.notice_request.button_needs_to'));
        }
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
}
