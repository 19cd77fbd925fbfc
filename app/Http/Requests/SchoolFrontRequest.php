<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** What stands over the courses of the school. */
final class SchoolFrontRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('run-school');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['nullable', 'string', 'max:120'],
            'text' => ['nullable', 'string', 'max:600'],
            'picture' => ['nullable', 'string', 'max:40', FaceRequest::picture(...)],
            'focusX' => ['required', 'integer', 'between:0,100'],
            'focusY' => ['required', 'integer', 'between:0,100'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['title.max' => Say::text('refused.face_request.front_title_long'), 'text.max' => Say::text('refused.face_request.front_text_long')];
    }

    /** @return array<string, mixed> as the school has it */
    public function columns(): array
    {
        $text = fn (string $key): string => $this->string($key)->trim()->toString();

        return ['front_title' => $text('title'), 'front_text' => $text('text'), 'front_picture' => $text('picture'), 'front_focus_x' => $this->integer('focusX'), 'front_focus_y' => $this->integer('focusY')];
    }
}
