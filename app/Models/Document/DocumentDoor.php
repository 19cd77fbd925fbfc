<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A door of a course document, read. */
final readonly class DocumentDoor
{
    public function __construct(public bool $open, public bool $default, public bool $follow)
    {
    }
}
