<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;

final class QuizRequest extends FormRequest
{
    /** Questions. */
    private const MOST = 200;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer'],
            'answers' => ['required', 'array', 'max:'.self::MOST],
            'answers.*' => ['array', 'max:40'],
            // Which were chosen, or what was typed.
            'answers.*.*' => ['nullable', 'max:200'],
        ];
    }

    /** @return list<list<int|string>> for each question those that were chosen, or what was typed */
    public function answers(): array
    {
        $questions = (array) $this->validated('answers');
        // Forms without scripts send them as they stand on the page, and of what was not answered nothing.
        $places = array_filter(array_keys($questions), static fn (int|string $place): bool => is_int($place) && $place >= 0 && $place < self::MOST);

        return array_map(
            static fn (int $place): array => array_map(static fn (mixed $answer): int|string => is_int($answer) ? $answer : (is_string($answer) ? $answer : -1), array_values((array) ($questions[$place] ?? []))),
            $places === [] ? [] : range(0, max($places)),
        );
    }
}
