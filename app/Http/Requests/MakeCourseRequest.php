<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A new course: its title, and which course it is like, if any. */
final class MakeCourseRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['title' => ['required', 'string', 'max:255'], 'like' => ['nullable', 'string', 'exists:courses,key']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['title.required' => Say::text('refused.make_course_request.course_needs_title'), 'like.exists' => Say::text('refused.make_course_request.there_no_such_course')];
    }
}
