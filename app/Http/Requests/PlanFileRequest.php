<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\PlanFile;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;

/** A plan file that courses are made from. */
final class PlanFileRequest extends FormRequest
{
    /** Offences that are told at once. */
    private const TOLD = 8;

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['plan' => ['required', 'file', 'max:'.intdiv(PlanFile::LARGEST, 1024)]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'plan.required' => 'Please choose a plan file.',
            'plan.file' => 'This is not a file that could be read.',
            'plan.uploaded' => 'The file did not arrive whole; it may be too large.',
            'plan.max' => 'That is larger than any plan needs.',
        ];
    }

    public function text(): string
    {
        $file = $this->file('plan');

        return $file instanceof UploadedFile ? (string) $file->getContent() : '';
    }

    /** Each offence and where it stands, at the field. */
    public static function refusal(InvalidPlan $e): ValidationException
    {
        $lines = array_map(static fn (Offence $offence): string => ($offence->pointer === '' ? 'The file' : $offence->pointer).': '.$offence->message, array_slice($e->offences, 0, self::TOLD));
        $more = count($e->offences) - self::TOLD;

        return ValidationException::withMessages(['plan' => implode("\n", $more > 0 ? [...$lines, "and {$more} more"] : $lines)."\nNothing was taken over."]);
    }
}
