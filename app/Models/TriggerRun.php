<?php

declare(strict_types=1);

namespace App\Models;

use App\Casts\UtcInstant;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One time that something came about and set a trigger off.
 *
 * @property int $id
 * @property int $trigger_id
 * @property string $key of what came about: the same one twice sets off one run
 * @property int $person_id
 * @property string $cause what came about, in words
 * @property array<array-key, mixed> $spec as it was then
 * @property string $state waiting, done, left, failed, stopped or taken back
 * @property list<array{told: string, act: ?int}> $did the outcome of each step that is done
 * @property int $tries
 * @property ?\DateTimeImmutable $due_at of what waits: when it is tried next
 * @property ?string $problem
 * @property \DateTimeImmutable $happened_at
 * @property \DateTimeImmutable $made_at
 * @property Trigger $trigger
 * @property Person $person
 */
final class TriggerRun extends Record
{
    protected $table = 'trigger_runs';

    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['spec' => 'array', 'did' => 'array', 'due_at' => UtcInstant::class, 'happened_at' => UtcInstant::class, 'made_at' => UtcInstant::class];

    protected $attributes = ['did' => '[]', 'tries' => 0, 'state' => 'waiting'];

    /** @return BelongsTo<Trigger, $this> */
    public function trigger(): BelongsTo
    {
        return $this->belongsTo(Trigger::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
