<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Retiring\LearnersKeep;
use App\Drafts\Retiring\RetireCourse;
use App\Models\Course;
use App\Models\Person;
use App\Models\Retirement;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** The end of a course: with what becomes of its learners where it is planned; of one that is retired, what stands there. */
final class RetireRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $planned = $this->isMethod('POST') ? 'required' : 'exclude';

        return [
            'version' => [$planned, 'integer', 'min:0'],
            'keep' => [$planned, 'string', Rule::enum(LearnersKeep::class)],
            'lastDay' => [$planned === 'exclude' ? 'exclude' : 'nullable', 'required_if:keep,day', 'string', 'date_format:Y-m-d', 'after_or_equal:1971-01-01', 'before:2200-01-01'],
            'shutGuests' => [$planned, 'boolean'],
            'shutObservers' => [$planned, 'boolean'],
            'takes' => ['required', 'boolean'],
            'listed' => ['required', 'boolean'],
            'subject' => ['nullable', 'string', 'max:60'],
            'address' => ['bail', 'nullable', 'string', 'max:60', 'regex:/^[a-z0-9]+(-[a-z0-9]+)*$/D', function (string $field, mixed $value, \Closure $fail): void {
                if (is_string($value) && ! $this->course()->mayHaveAddress($value)) {
                    $fail(Say::text('drafts.draft_conflict.address_taken', ['address' => $value]));
                }
            }],
            'oldAddress' => ['required', Rule::in(['closing', 'nothing'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'lastDay.*' => Say::text('refused.retire_request.until_which_day'),
            'address.regex' => Say::text('refused.retire_request.address_of_letters'),
            'address.max' => Say::text('refused.retire_request.address_too_long'),
        ];
    }

    public function edit(): RetireCourse
    {
        $keep = LearnersKeep::from($this->string('keep')->toString());

        return new RetireCourse($keep, $keep === LearnersKeep::Day ? $this->string('lastDay')->toString() : null, $this->boolean('shutGuests'), $this->boolean('shutObservers'));
    }

    public function with(Person $by): Retirement
    {
        $address = $this->string('address')->toString();

        return new Retirement(
            by: $by->id,
            forGood: $this->string('keep')->toString() === LearnersKeep::Good->value,
            listed: $this->boolean('listed'),
            takesNextRun: $this->boolean('takes'),
            address: $address === '' || $address === $this->course()->key ? null : $address,
            oldAddress: $this->string('oldAddress')->toString() === 'nothing' ? 'nothing' : 'closing',
        );
    }

    /** By which courses are told of together; empty: none. */
    public function subject(): string
    {
        return $this->string('subject')->trim()->toString();
    }

    private function course(): Course
    {
        $course = $this->route('course');

        return $course instanceof Course ? $course : throw new \LogicException('The route names a course.');
    }
}
