<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Person;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What somebody is called, and where letters to them go. */
final class CorrectPersonRequest extends FormRequest
{
    use SmallAddress;

    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $person = $this->route('person');

        return [
            'name' => ['required', 'string', 'max:200'],
            'email' => ['required', 'string', 'email', 'max:190', Rule::unique('people', 'email')->ignore($person instanceof Person ? $person->id : null)],
            'from' => ['required', 'string', 'max:190'],
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
        ];
    }
}
