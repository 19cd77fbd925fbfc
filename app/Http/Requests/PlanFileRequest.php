<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\PlanFile;
use App\Words\Say;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use SilentKeep\Core\Format\InvalidPlan;
use SilentKeep\Core\Format\Offence;

/** A plan file that courses are made from, or a Common Cartridge. */
final class PlanFileRequest extends FormRequest
{
    /** Offences that are told at once. */
    private const TOLD = 8;

    /** KiB. */
    private const LARGEST_CARTRIDGE = 524_288;

    public function authorize(): Response
    {
        return Gate::inspect('edit-rules');
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['plan' => ['required', 'file', 'max:'.($this->isCartridge() ? self::LARGEST_CARTRIDGE : intdiv(PlanFile::LARGEST, 1024))]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'plan.required' => Say::text('refused.plan_file_request.please_choose_plan_file'),
            'plan.file' => Say::text('refused.plan_file_request.not_file_that_could'),
            'plan.uploaded' => Say::text('refused.plan_file_request.file_did_not_arrive'),
            'plan.max' => Say::text('refused.plan_file_request.that_larger_than_any'),
        ];
    }

    /** By what is in it, and not by its name. */
    public function isCartridge(): bool
    {
        $file = $this->file('plan');

        return $file instanceof UploadedFile && $file->isValid() && str_starts_with((string) file_get_contents((string) $file->getRealPath(), length: 4), "PK\x03\x04");
    }

    /** Where it is kept from now on. */
    public function kept(): string
    {
        $file = $this->file('plan');

        return $file instanceof UploadedFile ? (string) $file->storeAs('imports', bin2hex(random_bytes(12))) : '';
    }

    public function text(): string
    {
        $file = $this->file('plan');

        return $file instanceof UploadedFile ? (string) $file->getContent() : '';
    }

    /** Each offence and where it stands, at the field. */
    public static function refusal(InvalidPlan $e): ValidationException
    {
        $lines = array_map(static fn (Offence $offence): string => ($offence->pointer === '' ? Say::text('refused.plan_file_request.the_file') : $offence->pointer).': '.$offence->message, array_slice($e->offences, 0, self::TOLD));
        $more = count($e->offences) - self::TOLD;

        return ValidationException::withMessages(['plan' => implode("\n", [...$lines, ...($more > 0 ? [Say::text('refused.plan_file_request.more', ['more' => $more])] : []), Say::text('refused.plan_file_request.nothing_taken')])]);
    }
}
