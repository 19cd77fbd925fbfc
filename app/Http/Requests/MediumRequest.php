<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Learning\Contents\MediumType;
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
            'file.required' => 'Please choose a file; it may also have been larger than this server takes.',
            'file.uploaded' => 'The file did not arrive; it may be larger than this server takes.',
            'file.max' => 'At most 512 megabytes.',
            'title.required' => 'Please give it a title: it is what those hear who do not see it.',
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $file = $this->file('file');
            if ($file instanceof UploadedFile && $file->isValid() && MediumType::of($file->getRealPath())->kind === 'video' && ! $this->filled('seconds')) {
                $validator->errors()->add('file', 'This browser cannot play the video, so that its length is not known. Please make it an MP4 or a WebM.');
            }
        });
    }
}
