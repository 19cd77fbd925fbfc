<?php

declare(strict_types=1);

namespace App\Access;

use App\Models\School;

/** The one school of this installation, read once a request. */
final class SchoolOf
{
    private ?School $school = null;

    /** Of a school as it was. */
    public static function then(School $school): self
    {
        $of = new self;
        $of->school = $school;

        return $of;
    }

    public function __invoke(): School
    {
        return $this->school ??= School::query()->orderBy('id')->firstOrFail();
    }

    /** Null as long as it was not told its name and zone. */
    public function begun(): ?School
    {
        $school = $this->school ??= School::query()->orderBy('id')->first();

        return $school?->begin_code === null ? $school : null;
    }

    public function forget(): void
    {
        $this->school = null;
    }
}
