<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Keep\Edits\SetOpening;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** When an item opens. What the rule itself allows is checked by the core; this only shapes it. */
final class EditOpeningRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'version' => ['required', 'integer', 'min:0'],
            'plan' => ['required', 'string'],
            'item' => ['required', 'string'],
            'rule' => ['nullable', Rule::in(['at_once', 'on', 'held', 'after_start', 'after_previous'])],
            'at' => ['nullable', 'required_if:rule,on', 'date_format:Y-m-d\TH:i'],
            'days' => ['nullable', 'required_if:rule,after_start,after_previous', 'integer', 'min:0', 'max:36500'],
            'time' => ['nullable', 'date_format:H:i'],
            'weekday' => ['nullable', 'integer', 'between:1,7'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'at.required_if' => 'Please say on which day and at what time.',
            'at.date_format' => 'This is not a date and time.',
            'days.required_if' => 'Please say after how many days.',
            'days.integer' => 'Whole days only.',
            'days.min' => 'Days cannot be counted backwards.',
            'days.max' => 'That is more than a hundred years.',
            'time.date_format' => 'This is not a time of day, such as 09:00.',
        ];
    }

    public function edit(): SetOpening
    {
        $name = $this->input('rule');
        $rule = is_string($name) ? (object) ['rule' => $name] : null;
        if ($rule !== null && $name === 'on') {
            $rule->at = $this->string('at')->toString();
        }
        if ($rule !== null && ($name === 'after_start' || $name === 'after_previous')) {
            $rule->days = $this->integer('days');
            if ($this->filled('time')) {
                $rule->time = $this->string('time')->toString();
            }
            if ($this->filled('weekday')) {
                $rule->weekday = $this->integer('weekday');
            }
        }

        return new SetOpening($this->string('plan')->toString(), $this->string('item')->toString(), $rule);
    }
}
