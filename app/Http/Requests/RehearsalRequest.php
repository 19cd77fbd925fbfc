<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Access\SchoolClock;
use App\Models\Revision;
use Illuminate\Foundation\Http\FormRequest;

/** A rehearsal: for now, or for the time that a publication may be set for. */
final class RehearsalRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** The instant that the wall-clock time in the address means; null for now, and where it is over or none at all. */
    public function setFor(SchoolClock $clock): ?int
    {
        $for = $this->input('for');
        $instant = is_string($for) ? $clock->instant($for) : null;

        return $instant !== null && $instant > $clock->now() ? $instant : null;
    }

    /** Number of the revision that is to be live again; null: the draft is rehearsed. */
    public function back(): ?int
    {
        return filter_var($this->input('back'), FILTER_VALIDATE_INT, ['flags' => FILTER_NULL_ON_FAILURE, 'options' => ['min_range' => 1, 'max_range' => Revision::MOST]]);
    }

    public function anew(): bool
    {
        return $this->boolean('anew');
    }
}
