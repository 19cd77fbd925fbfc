<?php

declare(strict_types=1);

namespace App\Drafts\Edits;

use App\Models\CourseDocument;

/** Sets fields of the course itself, all that is set on one form at once. */
final readonly class SetCourse implements Edit
{
    /** What the format takes where nothing is said. */
    private const DEFAULTS = [
        'keep_after_retiring' => true, 'sample_needs_account' => false, 'in_order' => false, 'tiers' => [],
        'guest_door' => ['open' => false, 'default' => false],
        'observer_door' => ['open' => false, 'default' => false, 'follow' => true],
    ];

    /**
     * @param  array<string, mixed>  $fields  as the plan format has them; null: nothing set
     * @param  ?string  $guestPhrase  what guests must say at their door; null: nothing
     */
    public function __construct(private array $fields, private ?string $guestPhrase)
    {
    }

    public function applyTo(CourseDocument $document): void
    {
        foreach ($this->fields as $field => $value) {
            // What says the same as before stays as it was written.
            if (self::effective($field, $document->read()->member($field)) !== self::effective($field, $value)) {
                $document->edit()->set($field, $value);
            }
        }
        if ($document->guestPhrase() !== $this->guestPhrase) {
            $document->edit()->setGuestPhrase($this->guestPhrase);
        }
    }

    private static function effective(string $field, mixed $value): string
    {
        $default = self::DEFAULTS[$field] ?? null;
        if (is_array($default) && ! array_is_list($default)) {
            $value = array_filter((array) $value, static fn (mixed $one): bool => $one !== null) + $default;
            ksort($value);
        }

        return (string) json_encode($value ?? $default);
    }

    public function toArray(): array
    {
        // The phrase itself stays out of the log.
        return ['set' => 'course', 'to' => $this->fields, 'asks for a phrase' => $this->guestPhrase !== null];
    }

    public function pointer(): string
    {
        return '/courses/0';
    }
}
