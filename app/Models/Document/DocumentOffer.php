<?php

declare(strict_types=1);

namespace App\Models\Document;

/** The access side of an offer in a course document, read. */
final readonly class DocumentOffer extends KeyedFields
{
    /** The key of the course that it opens. */
    public function course(): string
    {
        return $this->text('course') ?? '';
    }

    public function tier(): ?string
    {
        return $this->text('tier');
    }

    /** The release plan that paces its passes; null: all at once. */
    public function plan(): ?string
    {
        return $this->text('plan');
    }

    /** @return ?list<string> keys of items; null: the whole course */
    public function scope(): ?array
    {
        return $this->texts('scope');
    }

    /** @return list<string> that its holders have while a pass of it is active */
    public function labels(): array
    {
        return $this->texts('labels') ?? [];
    }

    /** Null: for good. */
    public function lasts(): ?DocumentLasts
    {
        return DocumentLasts::of($this->object('lasts'));
    }
}
