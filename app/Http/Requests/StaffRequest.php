<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Database\Value;
use App\Models\Course;
use App\Models\Role;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Who is to work for the school, as what and on which courses. */
final class StaffRequest extends FormRequest
{
    use SmallAddress;

    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            ...($this->isMethod('POST') ? ['email' => ['required', 'string', 'email', 'max:190'], 'name' => ['nullable', 'string', 'max:200']] : ['from' => ['required', Rule::enum(Role::class)]]),
            'role' => ['required', Rule::enum(Role::class)],
            'courses' => ['array', 'list', Rule::requiredIf($this->input('role') === Role::Editor->value)],
            'courses.*' => ['string', Rule::exists('courses', 'key')],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => Say::text('refused.new_person_request.please_give_e_mail'), 'email.email' => Say::text('refused.new_person_request.not_e_mail_address'),
            'role.required' => Say::text('staff_told.which_role'), 'courses.required' => Say::text('staff_told.which_courses'), 'courses.*.exists' => Say::text('staff_told.no_such_course'),
        ];
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->toString());
    }

    public function from(): Role
    {
        return Role::from($this->string('from')->toString());
    }

    /** @return list<int> ids */
    public function courses(): array
    {
        return Value::ints(Course::query()->whereIn('key', Value::texts((array) $this->input('courses')))->orderBy('id')->pluck('id'));
    }
}
