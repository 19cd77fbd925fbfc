<?php

declare(strict_types=1);

namespace App\Pages\Api\Formats;

use App\Models\Import;
use OpenApi\Attributes as OA;

/** A file of people: read first, then brought in all at once. */
#[OA\Schema]
final readonly class ImportTold
{
    /**
     * @param  string  $state  reading, ready (nobody is brought in before that is asked for), refused (some of its lines are wrong), bringing in, done, taking back, or taken back
     * @param  int  $rows  read so far
     * @param  object  $tally  lines by what they are: new, known, twice, wrong, ends; and what came of it
     * @param  list<WrongRow>  $errors  the first that are wrong
     * @param  ?string  $problem  why it was not brought in
     */
    public function __construct(
        #[OA\Property] public int $id,
        #[OA\Property(enum: ['csv', 'oneroster'])] public string $kind,
        #[OA\Property(enum: ['new', 'reading', 'ready', 'refused', 'bringing in', 'done', 'taking back', 'taken back', 'gone'])] public string $state,
        #[OA\Property] public int $rows,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'integer'))] public object $tally,
        #[OA\Property(items: new OA\Items(ref: WrongRow::class))] public array $errors,
        #[OA\Property] public ?string $problem,
    ) {
    }

    public static function of(Import $import): self
    {
        return new self($import->id, $import->kind, $import->state, $import->rows, (object) $import->tally, array_map(static fn (array $one): WrongRow => new WrongRow($one['line'], $one['message']), array_values(array_filter($import->errors, static fn (array $one): bool => ! ($one['passed'] ?? false)))), $import->problem);
    }
}
