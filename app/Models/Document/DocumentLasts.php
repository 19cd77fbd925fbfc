<?php

declare(strict_types=1);

namespace App\Models\Document;

/** How long a pass of an offer lasts that does not last for good, read. */
final readonly class DocumentLasts extends Fields
{
    public function days(): ?int
    {
        return $this->int('days');
    }

    /** Wall-clock time in the school's zone. */
    public function until(): ?string
    {
        return $this->text('until');
    }
}
