<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Learning\Contents\MediumType;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;

final class MediumRequest extends FormRequest
{
    /** Kilobytes; bin/php.d lets through as much. */
    private const LARGEST = 512 * 1024;

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'file' => ['required', 'file', 'max:'.self::LARGEST],
            'title' => ['required', 'string', 'max:200'],
            'seconds' => ['nullable', 'numeric', 'gt:0', 'max:86400'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'file.required' => Say::text('refused.medium_request.please_choose_file_may'),
            'file.uploaded' => Say::text('refused.medium_request.file_did_not_arrive'),
            'file.max' => Say::text('refused.medium_request.at_most_512_megabytes'),
            'title.required' => Say::text('refused.medium_request.please_give_title_what'),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $file = $this->file('file');
            if ($file instanceof UploadedFile && $file->isValid() && MediumType::of($file->getRealPath())->kind === 'video' && ! $this->filled('seconds')) {
                $validator->errors()->add('file', Say::text('refused.medium_request.browser_cannot_play_video'));
            }
        });
    }
}
