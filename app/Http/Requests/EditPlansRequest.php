<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Drafts\Edits\Edit;
use App\Drafts\Plans\DeletePlan;
use App\Drafts\Plans\MakePlan;
use App\Drafts\Plans\RenamePlan;
use App\Drafts\Plans\SetPace;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** One change of a course's release plans, or of who is paced by which. */
final class EditPlansRequest extends FormRequest
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
            'do' => ['required', Rule::in(['make', 'rename', 'delete', 'pace'])],
            'name' => ['required_if:do,make,rename,delete', 'nullable', 'string', 'max:60'],
            'to' => ['required_if:do,rename', 'nullable', 'string', 'max:60'],
            'like' => ['nullable', 'string'],
            'instead' => ['nullable', 'string'],
            'offer' => ['nullable', 'string'],
            'plan' => ['nullable', 'string'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required_if' => Say::text('refused.edit_plans_request.release_plan_needs_name'),
            'to.required_if' => Say::text('refused.edit_plans_request.release_plan_needs_name'),
            'name.max' => Say::text('refused.edit_plans_request.that_longer_than_60'),
            'to.max' => Say::text('refused.edit_plans_request.that_longer_than_60'),
        ];
    }

    public function edit(): Edit
    {
        $name = $this->string('name')->trim()->toString();
        $text = fn (string $key): ?string => $this->filled($key) ? $this->string($key)->toString() : null;

        return match ($this->input('do')) {
            'make' => new MakePlan($name, $text('like')),
            'rename' => new RenamePlan($this->string('name')->toString(), $this->string('to')->trim()->toString()),
            'delete' => new DeletePlan($this->string('name')->toString(), $text('instead')),
            default => new SetPace($text('offer'), $text('plan')),
        };
    }
}
