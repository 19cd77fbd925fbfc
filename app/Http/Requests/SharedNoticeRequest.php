<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\SharedNotice;
use App\Notices\Parts\Part;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Words that many doors are to share. */
final class SharedNoticeRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $notice = $this->route('shared');

        return [
            'version' => [$notice === null ? 'nullable' : 'required', 'integer'],
            'name' => ['required', 'string', 'max:100', Rule::unique('shared_notices', 'name')->ignore($notice instanceof SharedNotice ? $notice->id : null)],
            ...NoticeWordRules::of(static fn (): bool => false),
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            ...NoticeWordRules::messages(),
            'name.required' => Say::text('refused.shared_notice.needs_name'),
            'name.unique' => Say::text('refused.shared_notice.name_taken'),
            'name.max' => Say::text('refused.shared_notice.at_most_100'),
        ];
    }

    /** @return array{heading: string, titled: bool, text: string, parts: ?string} */
    public function words(): array
    {
        return [
            'heading' => $this->string('heading')->trim()->toString(),
            'titled' => $this->boolean('titled', true),
            'text' => $this->string('text')->trim()->toString(),
            'parts' => is_array($this->input('parts')) ? Part::toJson(NoticeParts::of($this)) : null,
        ];
    }
}
