<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * A file of very many people, made in the queue.
 *
 * @property int $id
 * @property int $person_id who asked for it, and alone gets it
 * @property string $query the filter as addresses have it
 * @property ?string $making of whom and of what filter, while it is made
 * @property bool $listed on the page of people; not where a program asked
 * @property ?string $course key of the one whose progress is told; null: of those they hold passes of
 * @property bool $samples whether it is told which samples they looked at
 * @property ?CsvForm $form
 * @property string $state making, ready, failed, or gone: somebody was erased, who may be in it
 * @property int $made people whose lines are there
 * @property int $of
 * @property int $bytes of all lines
 * @property \DateTimeImmutable $asked_at
 * @property ?\DateTimeImmutable $finished_at
 */
final class PeopleFile extends Record
{
    /** Parts that go while others wait. */
    private const LET_GO = 5;

    protected $table = 'people_files';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['listed' => 'boolean', 'samples' => 'boolean', 'form' => CsvForm::class, 'asked_at' => UtcInstant::class, 'finished_at' => UtcInstant::class];

    /** @return HasMany<PeopleFilePart, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(PeopleFilePart::class, 'file_id')->orderBy('place');
    }

    /** Somebody is erased, who may be in any of them: from then on none is handed out, and no part is laid down. Within a transaction. */
    public static function shutAll(): void
    {
        self::query()->where('state', '!=', 'gone')->update(['state' => 'gone', 'making' => null, 'bytes' => 0]);
    }

    /** Lets go of what was in those, a little at a time: they may be many megabytes. */
    public static function emptyShut(): void
    {
        $parts = PeopleFilePart::query()->whereIn('file_id', self::query()->select('id')->where('state', 'gone'))->orderBy('id')->pluck('id');
        foreach ($parts->chunk(self::LET_GO) as $some) {
            DB::transaction(static fn (): mixed => PeopleFilePart::query()->whereKey($some)->delete());
        }
    }
}
