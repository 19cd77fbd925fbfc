<?php

declare(strict_types=1);

namespace App\Models\Document;

/** A release plan of a document, read as a whole. */
final readonly class DocumentPlan extends Fields
{
}
