<?php

declare(strict_types=1);

namespace App\Models\Document;

/** What a release plan says of one item's opening or closing, read. */
final readonly class DocumentTime extends Fields
{
    /** As the plan format names it. */
    public function rule(): string
    {
        return $this->text('rule') ?? '';
    }

    /** Wall-clock time in the school's zone. */
    public function at(): ?string
    {
        return $this->text('at');
    }

    public function days(): ?int
    {
        return $this->int('days');
    }

    /** HH:MM in the school's zone. */
    public function time(): ?string
    {
        return $this->text('time');
    }

    /** Monday is 1. */
    public function weekday(): ?int
    {
        return $this->int('weekday');
    }
}
