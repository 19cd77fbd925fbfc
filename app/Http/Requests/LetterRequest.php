<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\School\Letters\InTheirLanguage;
use App\School\Letters\LetterKind;
use App\School\Letters\LetterWords;
use App\Words\Say;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** How a kind of letter is to be written. */
final class LetterRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    public function kind(): LetterKind
    {
        $kind = $this->route('kind');
        $kind = LetterKind::tryFrom(is_string($kind) ? $kind : '');

        return $kind === null || $kind === LetterKind::ByHand ? abort(404) : $kind;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $known = function (string $attribute, mixed $value, Closure $fail): void {
            $unknown = LetterWords::unknownIn($this->kind(), is_string($value) ? $value : '');
            if ($unknown !== []) {
                $fail(Say::text('refused.notice_request.nothing_stands_for', ['name' => "{{$unknown[0]}}", 'known' => implode(', ', array_map(static fn (string $name): string => "{{$name}}", $this->kind()->placeholders()))]));
            }
        };
        $tells = function (string $attribute, mixed $value, Closure $fail): void {
            $must = $this->kind()->mustSay();
            if ($must !== null && ! str_contains(is_string($value) ? $value : '', "{{$must}}")) {
                $fail(Say::text('refused.letter_request.must_say', ['name' => "{{$must}}", 'means' => Say::text("letters.placeholders.{$must}")]));
            }
        };

        return [
            'version' => ['required', 'integer'],
            'on' => ['required', 'boolean'],
            'days' => $this->kind()->daysAtFirst() === null ? ['nullable'] : ['required', 'integer', 'between:1,90'],
            'hour' => $this->kind()->hourAtFirst() === null ? ['nullable'] : ['required', 'integer', 'between:0,23'],
            'subject' => ['required', 'string', 'max:200', 'not_regex:/[\r\n]/', $known],
            'body' => ['required', 'string', 'max:10000', $known, $tells],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'subject.required' => Say::text('refused.letter_request.needs_subject'),
            'subject.not_regex' => Say::text('refused.letter_request.one_line'),
            'subject.max' => Say::text('refused.notice_request.at_most_200_characters'),
            'body.required' => Say::text('refused.letter_request.needs_words'),
            'body.max' => Say::text('refused.letter_request.at_most_10_000'),
            'days.*' => Say::text('refused.letter_request.between_1_and_90'),
            'hour.*' => Say::text('refused.letter_request.hour'),
        ];
    }

    /** @return array{on: bool, days: ?int, hour: ?int, subject: ?string, body: ?string} words as usual are not kept: they go with the program */
    public function settled(): array
    {
        // As the page shows them: in the language of the school.
        [$subject, $body] = app(InTheirLanguage::class)->say(null, $this->kind()->usual(...));
        $typed = [$this->string('subject')->trim()->toString(), str_replace("\r\n", "\n", $this->string('body')->toString())];
        $isUsual = $typed[0] === $subject && trim($typed[1]) === trim($body);

        return [
            'on' => $this->boolean('on'),
            'days' => $this->kind()->daysAtFirst() === null ? null : $this->integer('days'),
            'hour' => $this->kind()->hourAtFirst() === null ? null : $this->integer('hour'),
            'subject' => $isUsual ? null : $typed[0],
            'body' => $isUsual ? null : $typed[1],
        ];
    }
}
