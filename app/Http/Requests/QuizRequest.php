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
            'answers.*.*' => ['integer', 'min:0'],
        ];
    }

    /** @return list<list<int>> for each question those that were chosen */
    public function answers(): array
    {
        $questions = $this->validated('answers');

        return array_map(
            static fn (mixed $chosen): array => array_map(static fn (mixed $answer): int => is_numeric($answer) ? (int) $answer : -1, array_values((array) $chosen)),
            array_values((array) $questions),
        );
    }
}
