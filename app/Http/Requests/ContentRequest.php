<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Pages\Learner\BoardPageBuilder;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

final class ContentRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'text' => ['nullable', 'string', 'max:200000'],
            'board' => ['nullable', Rule::in(BoardPageBuilder::KINDS)],
            'minutes' => ['nullable', 'integer', 'between:1,999'],
            'quiz' => ['array', 'max:100'],
            'quiz.*.ask' => ['required', 'string', 'max:1000'],
            'quiz.*.answers' => ['required', 'array', 'min:2', 'max:20'],
            'quiz.*.answers.*' => ['required', 'string', 'max:500'],
            'quiz.*.right' => ['required', 'array', 'min:1'],
            'quiz.*.right.*' => ['integer', 'min:0'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'text.max' => Say::text('refused.content_request.that_more_than_200'),
            'minutes.between' => Say::text('refused.content_request.minutes'),
            'minutes.integer' => Say::text('refused.content_request.minutes'),
            'quiz.*.ask.required' => Say::text('refused.content_request.please_type_the_question'),
            'quiz.*.answers.min' => Say::text('refused.content_request.question_needs_two_answers'),
            'quiz.*.answers.*.required' => Say::text('refused.content_request.please_type_answer_or'),
            'quiz.*.right.required' => Say::text('refused.content_request.please_say_which_answer'),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            foreach ($this->quiz() as $index => $question) {
                if (count(array_unique($question['answers'])) < count($question['answers'])) {
                    $validator->errors()->add("quiz.{$index}.answers", Say::text('refused.content_request.one_answer_there_twice'));
                }
                if (array_filter($question['right'], static fn (int $right): bool => $right >= count($question['answers'])) !== []) {
                    $validator->errors()->add("quiz.{$index}.right", Say::text('refused.content_request.please_say_which_answer'));
                }
            }
        });
    }

    /** @return list<array{ask: string, answers: list<string>, right: list<int>}> */
    public function quiz(): array
    {
        $quiz = [];
        foreach ((array) $this->input('quiz') as $question) {
            $question = (array) $question;
            $quiz[] = [
                'ask' => is_string($question['ask'] ?? null) ? trim($question['ask']) : '',
                'answers' => array_map(static fn (mixed $answer): string => is_string($answer) ? trim($answer) : '', array_values((array) ($question['answers'] ?? []))),
                'right' => array_map(static fn (mixed $right): int => is_numeric($right) ? (int) $right : -1, array_values((array) ($question['right'] ?? []))),
            ];
        }

        return $quiz;
    }
}
