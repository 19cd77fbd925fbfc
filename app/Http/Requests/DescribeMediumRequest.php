<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Learning\Contents\Captions;
use App\Learning\Contents\MediumType;
use App\Learning\Contents\NotCaptions;
use App\Models\Language;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Contracts\Validation\Validator;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What stands around a medium. */
final class DescribeMediumRequest extends FormRequest
{
    /** Kilobytes. */
    private const LARGEST_CAPTIONS = 1024;

    private const LARGEST_POSTER = 8 * 1024;

    private ?Captions $read = null;

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'title' => ['required', 'string', 'max:200'],
            'captions' => ['nullable', 'file', 'max:'.self::LARGEST_CAPTIONS],
            'language' => ['nullable', Rule::enum(Language::class)],
            'poster' => ['nullable', 'file', 'max:'.self::LARGEST_POSTER],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => Say::text('refused.medium_request.please_give_title_what'),
            'captions.max' => Say::text('refused.medium_request.captions_large'),
            'captions.uploaded' => Say::text('refused.medium_request.file_did_not_arrive'),
            'poster.max' => Say::text('refused.medium_request.poster_large'),
            'poster.uploaded' => Say::text('refused.medium_request.file_did_not_arrive'),
        ];
    }

    public function withValidator(Validator $validator): void
    {
        $validator->after(function (Validator $validator): void {
            $poster = $this->poster();
            if ($poster !== null && MediumType::of((string) $poster->getRealPath())->kind !== 'image') {
                $validator->errors()->add('poster', Say::text('refused.picture.no_picture'));
            }
            try {
                $file = $this->file('captions');
                $this->read = $file instanceof UploadedFile && $file->isValid() ? Captions::of((string) $file->getContent()) : null;
            } catch (NotCaptions $e) {
                $validator->errors()->add('captions', Say::text('refused.medium_request.no_captions', ['line' => $e->at]));
            }
        });
    }

    public function captions(): ?Captions
    {
        return $this->read;
    }

    public function poster(): ?UploadedFile
    {
        $file = $this->file('poster');

        return $file instanceof UploadedFile && $file->isValid() ? $file : null;
    }

    public function language(): Language
    {
        return Language::tryFrom($this->string('language')->toString()) ?? Language::English;
    }
}
