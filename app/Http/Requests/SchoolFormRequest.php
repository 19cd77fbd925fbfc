<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Form;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What a form of the school asks. */
final class SchoolFormRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $form = $this->route('form');

        return [
            'version' => ['nullable', 'integer'],
            'name' => ['required', 'string', 'max:100', Rule::unique('forms', 'name')->ignore($form instanceof Form ? $form->id : null)],
            'on' => ['required', 'boolean'],
            'text' => ['nullable', 'string', 'max:5000'],
            'consent' => ['nullable', 'string', 'max:500'],
            'thanks' => ['nullable', 'string', 'max:5000'],
            'questions' => ['nullable', 'array', 'list', 'max:5'],
            'questions.*.ask' => ['required', 'string', 'max:300', 'distinct'],
            'questions.*.required' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('refused.form_request.needs_name'),
            'name.unique' => Say::text('refused.form_request.name_taken'),
            'questions.max' => Say::text('refused.form_request.at_most_five'),
            'questions.*.ask.required' => Say::text('refused.form_request.needs_question'),
            'questions.*.ask.distinct' => Say::text('refused.form_request.asked_twice'),
        ];
    }

    /** @return array{name: string, on: bool, text: string, consent: string, questions: list<array{ask: string, required: bool}>, thanks: string} */
    public function fields(): array
    {
        $questions = array_keys((array) $this->input('questions'));

        return [
            'name' => $this->string('name')->trim()->toString(), 'on' => $this->boolean('on'), 'text' => $this->string('text')->trim()->toString(),
            'consent' => $this->string('consent')->trim()->toString(), 'thanks' => $this->string('thanks')->trim()->toString(),
            'questions' => array_map(fn (int|string $index): array => ['ask' => $this->string("questions.{$index}.ask")->trim()->toString(), 'required' => $this->boolean("questions.{$index}.required")], $questions),
        ];
    }
}
