<?php

declare(strict_types=1);

namespace App\Models\Document;

/** The access side of an offer in a document that is changed in place. */
final readonly class WritableOffer extends Writable
{
    public static function make(string $key, string $course, string $title): self
    {
        return new self((object) ['key' => $key, 'course' => $course, 'title' => $title]);
    }

    public function read(): DocumentOffer
    {
        return new DocumentOffer($this->json);
    }

    /** As the document has it. */
    public function json(): \stdClass
    {
        return $this->json;
    }
}
