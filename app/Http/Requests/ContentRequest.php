<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Learning\Contents\Written;
use App\Learning\Quizzes\Question;
use App\Learning\Quizzes\QuestionKind;
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
            'drafted' => ['nullable', 'integer'],
            'later' => ['boolean'],
            'text' => ['nullable', 'string', 'max:200000'],
            'board' => ['nullable', Rule::in(BoardPageBuilder::KINDS)],
            'minutes' => ['nullable', 'integer', 'between:1,999'],
            'cover' => ['nullable', 'string', 'max:40', FaceRequest::picture(...)],
            'focusX' => ['integer', 'between:0,100'],
            'focusY' => ['integer', 'between:0,100'],
            'quiz' => ['array', 'max:100'],
            'quiz.*.ask' => ['required', 'string', 'max:1000'],
            'quiz.*.kind' => ['nullable', Rule::enum(QuestionKind::class)],
            'quiz.*.told' => ['array', 'max:20'],
            'quiz.*.told.*' => ['nullable', 'string', 'max:1000'],
            'quiz.*.within' => ['nullable', 'string', 'max:20'],
            'rules' => ['array'],
            'rules.tries' => ['nullable', 'integer', 'between:1,100'],
            'rules.wait' => ['nullable', 'integer', 'between:0,43200'],
            'rules.shuffle' => ['boolean'],
            'rules.bands' => ['array', 'max:10'],
            'rules.bands.*.from' => ['required', 'integer', 'between:0,100', 'distinct'],
            'rules.bands.*.name' => ['required', 'string', 'max:60'],
            'rules.bands.*.words' => ['nullable', 'string', 'max:1000'],
            'quiz.*.answers' => ['required', 'array', 'min:1', 'max:20'],
            'quiz.*.answers.*' => ['required', 'string', 'max:500'],
            'quiz.*.right' => ['array'],
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
            'rules.tries.between' => Say::text('refused.content_request.tries'),
            'rules.wait.between' => Say::text('refused.content_request.wait'),
            'rules.bands.*.from.between' => Say::text('refused.content_request.band_from'),
            'rules.bands.*.from.required' => Say::text('refused.content_request.band_from'),
            'rules.bands.*.from.distinct' => Say::text('refused.content_request.band_twice'),
            'rules.bands.*.name.required' => Say::text('refused.content_request.band_name'),
            'quiz.*.answers.min' => Say::text('refused.content_request.question_needs_two_answers'),
            'quiz.*.answers.*.required' => Say::text('refused.content_request.please_type_answer_or'),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            foreach ($this->quiz() as $index => $question) {
                foreach (self::wrongWith($question) as $field => $message) {
                    $validator->errors()->add("quiz.{$index}.{$field}", $message);
                }
            }
        });
    }

    /**
     * @param  array{ask: string, kind: string, answers: list<string>, right: list<int>, told: list<string>, within: float}  $question
     * @return array<string, string> by field
     */
    private static function wrongWith(array $question): array
    {
        $count = count($question['answers']);
        $wrong = [];
        if (count(array_unique($question['answers'])) < $count) {
            $wrong['answers'] = Say::text('refused.content_request.one_answer_there_twice');
        }
        if ($question['kind'] === QuestionKind::Number->value && (Question::number($question['answers'][0] ?? '') === null || $count > 1)) {
            $wrong['answers.0'] = Say::text('refused.content_request.no_number');
        }
        if ($question['kind'] === QuestionKind::Number->value && $question['within'] < 0) {
            $wrong['within'] = Say::text('refused.content_request.within');
        }
        if ($question['kind'] === QuestionKind::Choice->value) {
            $wrong += $count < 2 ? ['answers' => Say::text('refused.content_request.question_needs_two_answers')] : [];
            $wrong += $question['right'] === [] || array_filter($question['right'], static fn (int $right): bool => $right < 0 || $right >= $count) !== [] ? ['right' => Say::text('refused.content_request.please_say_which_answer')] : [];
        }

        return $wrong;
    }

    public function written(): Written
    {
        return new Written($this->string('text')->toString(), $this->quiz(), $this->quizRules(), $this->filled('board') ? $this->string('board')->toString() : null, $this->filled('minutes') ? $this->integer('minutes') : null, $this->filled('cover') ? ['token' => $this->string('cover')->toString(), 'x' => $this->integer('focusX', 50), 'y' => $this->integer('focusY', 50)] : null);
    }

    /** @return list<array{ask: string, kind: string, answers: list<string>, right: list<int>, told: list<string>, within: float}> */
    public function quiz(): array
    {
        $text = static fn (mixed $value): string => is_string($value) ? trim($value) : '';
        $quiz = [];
        foreach ((array) $this->input('quiz') as $question) {
            $question = (array) $question;
            $kind = QuestionKind::tryFrom($text($question['kind'] ?? null)) ?? QuestionKind::Choice;
            $quiz[] = [
                'ask' => $text($question['ask'] ?? null),
                'kind' => $kind->value,
                'answers' => array_map($text, array_values((array) ($question['answers'] ?? []))),
                'right' => $kind === QuestionKind::Choice ? array_map(static fn (mixed $right): int => is_numeric($right) ? (int) $right : -1, array_values((array) ($question['right'] ?? []))) : [],
                'told' => array_map($text, array_values((array) ($question['told'] ?? []))),
                'within' => $text($question['within'] ?? null) === '' ? 0.0 : Question::number($text($question['within'] ?? null)) ?? -1.0,
            ];
        }

        return $quiz;
    }

    /** @return ?array{tries: ?int, wait: int, shuffle: bool, bands: list<array{from: int, name: string, words: string}>} null: as often as one likes, and no more is said */
    public function quizRules(): ?array
    {
        $bands = array_map(static function (mixed $band): array {
            $band = (array) $band;
            $text = static fn (mixed $value): string => is_string($value) ? trim($value) : '';

            return ['from' => is_numeric($band['from'] ?? null) ? (int) $band['from'] : 0, 'name' => $text($band['name'] ?? null), 'words' => $text($band['words'] ?? null)];
        }, array_values((array) $this->input('rules.bands')));
        $rules = ['tries' => $this->filled('rules.tries') ? $this->integer('rules.tries') : null, 'wait' => $this->integer('rules.wait'), 'shuffle' => $this->boolean('rules.shuffle'), 'bands' => $bands];

        return $rules === ['tries' => null, 'wait' => 0, 'shuffle' => false, 'bands' => []] ? null : $rules;
    }
}
