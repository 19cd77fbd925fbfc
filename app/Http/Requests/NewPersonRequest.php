<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Somebody who is brought in by hand. */
final class NewPersonRequest extends FormRequest
{
    use SmallAddress;

    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email', 'max:190', 'unique:people,email'],
            'labels' => ['nullable', 'string', 'max:500'],
            'offer' => ['nullable', 'string'],
            'from' => ['nullable', 'date_format:Y-m-d\TH:i'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => Say::text('refused.new_person_request.please_say_who'),
            'email.required' => Say::text('refused.new_person_request.please_give_e_mail'),
            'email.email' => Say::text('refused.new_person_request.not_e_mail_address'),
            'email.unique' => Say::text('refused.new_person_request.somebody_with_address_here'),
            'from.date_format' => Say::text('refused.not_date_and_time'),
        ];
    }

    /** @return list<string> */
    public function labels(): array
    {
        return array_values(array_unique(array_filter(array_map(trim(...), explode(',', $this->string('labels')->toString())), static fn (string $label): bool => $label !== '' && mb_strlen($label) <= 60)));
    }
}
