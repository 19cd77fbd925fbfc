<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class QuizRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'answers' => ['required', 'array', 'max:200'],
            'answers.*' => ['array', 'max:40'],
            // Which were chosen, or what was typed.
            'answers.*.*' => ['nullable', 'max:200'],
        ];
    }

    /** @return list<list<int|string>> for each question those that were chosen, or what was typed */
    public function answers(): array
    {
        $questions = $this->validated('answers');

        return array_map(
            static fn (mixed $chosen): array => array_map(static fn (mixed $answer): int|string => is_int($answer) ? $answer : (is_string($answer) ? $answer : -1), array_values((array) $chosen)),
            array_values((array) $questions),
        );
    }
}
