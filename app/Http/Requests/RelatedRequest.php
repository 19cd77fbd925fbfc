<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Course;
use App\School\Pictures\Pictures;
use App\Words\Say;
use Closure;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** Another course that is to be put before the readers of a page. */
final class RelatedRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $there = function (string $attribute, mixed $value, Closure $fail): void {
            $here = $this->route('course');
            $other = $this->other();
            if ($other === null || ($here instanceof Course && $other->id === $here->id)) {
                $fail(Say::text('refused.related_request.another_course'));
            }
        };
        $picture = static function (string $attribute, mixed $value, Closure $fail): void {
            if (is_string($value) && $value !== '' && app(Pictures::class)->find($value) === null) {
                $fail(Say::text('refused.picture.not_there'));
            }
        };

        return [
            'version' => ['required', 'integer'],
            'item' => ['nullable', 'string', 'max:200'],
            'other' => ['required', 'string', 'max:200', $there],
            'heading' => ['required', 'string', 'max:200'],
            'text' => ['nullable', 'string', 'max:2000'],
            'button' => ['required', 'string', 'max:60'],
            'picture' => ['nullable', 'string', 'max:40', $picture],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'other.required' => Say::text('refused.related_request.another_course'),
            'heading.required' => Say::text('refused.related_request.needs_heading'),
            'heading.max' => Say::text('refused.notice_request.at_most_200_characters'),
            'text.max' => Say::text('refused.related_request.at_most_2_000'),
            'button.required' => Say::text('refused.related_request.needs_button'),
        ];
    }

    /** @return array{other_id: int, heading: string, text: string, button: string, picture: ?string} */
    public function offer(): array
    {
        return [
            'other_id' => $this->other()->id ?? abort(404),
            'heading' => $this->string('heading')->trim()->toString(),
            'text' => $this->string('text')->trim()->toString(),
            'button' => $this->string('button')->trim()->toString(),
            'picture' => $this->filled('picture') ? $this->string('picture')->toString() : null,
        ];
    }

    private function other(): ?Course
    {
        $key = $this->input('other');

        return is_string($key) ? Course::query()->where('key', $key)->first() : null;
    }
}
