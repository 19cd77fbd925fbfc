<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;

/**
 * Words of a notice under a name, which stand at many doors.
 *
 * @property int $id
 * @property string $name
 * @property ?array{heading: string, titled: bool, text: string, parts: ?string} $live that stand at doors; null: never published
 * @property ?array{heading: string, titled: bool, text: string, parts: ?string} $draft changed and not published
 * @property int $version
 * @property ?\DateTimeImmutable $published_at
 */
final class SharedNotice extends Record
{
    protected $table = 'shared_notices';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['live' => 'array', 'draft' => 'array', 'published_at' => UtcInstant::class];
}
