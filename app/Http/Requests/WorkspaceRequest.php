<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Keep\SchoolClock;
use App\Keep\Views\Sightlines;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** The view of a course that an address names. What makes no sense in it falls back to the usual. */
final class WorkspaceRequest extends FormRequest
{
    public const LENSES = ['rules', 'sightlines'];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    public function lens(): string
    {
        $lens = $this->query('lens');

        return is_string($lens) && in_array($lens, self::LENSES, true) ? $lens : self::LENSES[0];
    }

    public function plan(): ?string
    {
        $plan = $this->query('plan');

        return is_string($plan) ? $plan : null;
    }

    /** The instant that the wall-clock time in the address means in the school's zone; null: now. */
    public function at(): ?int
    {
        $at = $this->query('at');

        return is_string($at) ? app(SchoolClock::class)->instant($at) : null;
    }

    /** @return array<array-key, int> by offer key */
    public function days(): array
    {
        $days = [];
        $given = $this->query('day');
        foreach (is_array($given) ? $given : [] as $offer => $day) {
            if (is_string($day) && ctype_digit($day) && (int) $day <= Sightlines::LAST_DAY) {
                $days[$offer] = (int) $day;
            }
        }

        return $days;
    }

    public function asPublished(): bool
    {
        return $this->query('see') === 'published';
    }

    public function mayEdit(): bool
    {
        return Gate::allows('edit-rules');
    }
}
