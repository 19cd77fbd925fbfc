<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Front\Drawing;
use App\School\Pictures\Pictures;
use App\Words\Say;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What a course shows of itself. */
final class FaceRequest extends FormRequest
{
    private const MOST_OUTCOMES = 12;

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'sentence' => ['nullable', 'string', 'max:200'],
            'about' => ['nullable', 'string', 'max:20000'],
            'subject' => ['nullable', 'string', 'max:100'],
            'outcomes' => ['nullable', 'string', 'max:4000', function (string $attribute, mixed $value, Closure $fail): void {
                if (count($this->outcomes()) > self::MOST_OUTCOMES) {
                    $fail(Say::text('refused.face_request.too_many_outcomes', ['count' => self::MOST_OUTCOMES]));
                }
            }],
            'questions' => ['array', 'max:20'],
            'questions.*.ask' => ['required', 'string', 'max:300'],
            'questions.*.answer' => ['required', 'string', 'max:4000'],
            'cover' => ['nullable', 'string', 'max:40', self::picture(...)],
            'focusX' => ['required', 'integer', 'between:0,100'],
            'focusY' => ['required', 'integer', 'between:0,100'],
            'drawing' => ['nullable', Rule::enum(Drawing::class)],
            'contactName' => ['nullable', 'required_with:contactEmail', 'string', 'max:100'],
            'contactEmail' => ['nullable', 'required_with:contactName', 'email', 'max:190'],
        ];
    }

    public static function picture(string $attribute, mixed $value, Closure $fail): void
    {
        if (is_string($value) && $value !== '' && app(Pictures::class)->find($value) === null) {
            $fail(Say::text('refused.picture.not_there'));
        }
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'sentence.max' => Say::text('refused.face_request.sentence_long'),
            'about.max' => Say::text('told.contents_controller.that_more_than_20'),
            'questions.max' => Say::text('refused.face_request.too_many_questions', ['count' => 20]),
            'questions.*.ask.required' => Say::text('refused.face_request.no_ask'),
            'questions.*.answer.required' => Say::text('refused.face_request.no_answer'),
            'contactName.required_with' => Say::text('refused.face_request.no_name'),
            'contactEmail.required_with' => Say::text('refused.face_request.no_email'),
            'contactEmail.email' => Say::text('refused.school_request.not_e_mail_address'),
        ];
    }

    /** @return array{about: string, subject: string} */
    public function course(): array
    {
        return ['about' => $this->string('about')->toString(), 'subject' => $this->string('subject')->trim()->toString()];
    }

    /** @return array<string, mixed> */
    public function face(): array
    {
        $text = fn (string $key): ?string => $this->filled($key) ? $this->string($key)->trim()->toString() : null;

        return [
            'sentence' => $text('sentence') ?? '', 'outcomes' => $this->outcomes(), 'questions' => $this->questions(), 'cover' => $text('cover') ?? '',
            'focus_x' => $this->integer('focusX'), 'focus_y' => $this->integer('focusY'), 'drawing' => $text('drawing') ?? '',
            'contact_name' => $text('contactName'), 'contact_email' => $text('contactEmail'),
        ];
    }

    /** @return list<string> a line each */
    private function outcomes(): array
    {
        $lines = array_map(static fn (string $line): string => trim(ltrim(trim($line), '-•*')), explode("\n", $this->string('outcomes')->toString()));

        return array_values(array_unique(array_filter($lines, static fn (string $line): bool => $line !== '')));
    }

    /** @return list<array{ask: string, answer: string}> */
    private function questions(): array
    {
        $text = static fn (mixed $value): string => is_string($value) ? trim($value) : '';

        return array_map(static fn (mixed $one): array => ['ask' => $text(((array) $one)['ask'] ?? null), 'answer' => $text(((array) $one)['answer'] ?? null)], array_values((array) $this->input('questions')));
    }
}
