<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A door of a course document, read. */
final readonly class DocumentDoor
{
    public function __construct(public bool $open, public bool $default, public bool $follow)
    {
    }

    /** Where there is none it is shut. */
    public static function of(mixed $door): self
    {
        $door = $door instanceof \stdClass ? $door : null;

        return new self(($door->open ?? false) === true, ($door->default ?? false) === true, ($door->follow ?? true) === true);
    }
}
