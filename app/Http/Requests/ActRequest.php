<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\People\Acts\PeopleActs;
use App\People\PeopleFilter;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Something to be done to people: to those that are named, or to all that a filter lets through. */
final class ActRequest extends FormRequest
{
    use ReadsPeopleFilter;

    public function authorize(): Response
    {
        return Gate::inspect('help-people');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $do = $this->input('do');
        $needsOffer = in_array($do, ['give', 'change'], true) || (in_array($do, ['extend', 'begin', 'pause', 'resume', 'end', 'withdraw', 'give-back'], true) && ! $this->filled('pass'));

        return [
            'once' => ['nullable', 'string', 'max:60'],
            'do' => ['required', Rule::in(PeopleActs::KINDS)],
            'people' => ['required_without:filter', 'array', 'max:20000'],
            'people.*' => ['integer'],
            'filter' => ['nullable', 'array'],
            'offer' => [$needsOffer ? 'required' : 'nullable', 'string'],
            'pass' => ['nullable', 'integer'],
            'grant' => ['nullable', 'integer'],
            'from' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'until' => ['nullable', 'date_format:Y-m-d\TH:i'],
            'days' => [$do === 'extend' && ! $this->filled('until') ? 'required' : 'nullable', 'integer', 'between:1,3660'],
            'anew' => ['boolean'],
            'stops' => ['boolean'],
            'course' => ['nullable', 'string'],
            'items' => ['nullable', 'array', 'max:100'],
            'items.*' => ['string', 'max:200'],
            'item' => [in_array($do, ['grant', 'try'], true) || ($do === 'finish' && ! $this->filled('items')) || ($do === 'take-back' && ! $this->filled('grant')) ? 'required' : 'nullable', 'string'],
            'note' => ['nullable', 'string', 'max:200'],
            'label' => [in_array($do, ['label', 'unlabel'], true) ? 'required' : 'nullable', 'string', 'max:60', 'regex:/^[^,]+$/u'],
            'observer' => [in_array($do, ['observe', 'unobserve'], true) ? 'required' : 'nullable', 'integer'],
            'subject' => [$do === 'write' ? 'required' : 'nullable', 'string', 'max:200'],
            'body' => [$do === 'write' ? 'required' : 'nullable', 'string', 'max:20000'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'people.required_without' => Say::text('refused.act_request.please_choose_somebody_first'),
            'people.max' => Say::text('refused.act_request.that_more_people_than'),
            'offer.required' => Say::text('refused.act_request.please_choose_an_offer'),
            'days.required' => Say::text('refused.act_request.please_say_by_how'),
            'days.between' => Say::text('refused.act_request.between_one_day_and'),
            'item.required' => $this->input('do') === 'grant' ? Say::text('refused.act_request.please_choose_what_handed') : ($this->input('do') === 'finish' ? Say::text('refused.act_request.please_choose_what_finished') : Say::text('refused.act_request.please_choose_what_taken')),
            'label.required' => Say::text('refused.act_request.please_type_a_label'),
            'label.regex' => Say::text('refused.act_request.label_has_no_comma'),
            'observer.required' => Say::text('refused.act_request.please_choose_who_observes'),
            'subject.required' => Say::text('refused.act_request.please_give_subject'),
            'body.required' => Say::text('refused.act_request.please_write_something'),
            'from.date_format' => Say::text('refused.not_date_and_time'),
            'until.date_format' => Say::text('refused.not_date_and_time'),
        ];
    }

    /** @return array<string, mixed> */
    public function form(): array
    {
        $form = [];
        foreach ($this->safe()->except(['once', 'people', 'filter']) as $key => $value) {
            $form[(string) $key] = in_array($key, ['anew', 'stops'], true) ? $this->boolean((string) $key) : $value;
        }

        return $form;
    }

    /** Made by the form that asks for it, so that a second click does nothing more. */
    public function once(): ?string
    {
        return $this->filled('once') ? $this->string('once')->toString() : null;
    }

    /** @return ?list<int> null: all that the filter lets through */
    public function people(): ?array
    {
        $people = $this->input('people');

        return is_array($people) ? array_map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0, array_values($people)) : null;
    }

    public function filter(): PeopleFilter
    {
        return self::filterOf((array) $this->input('filter'));
    }
}
