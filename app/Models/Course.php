<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * @property int $id
 * @property string $key
 * @property bool $hidden nothing of it is live, or what is says that it is a draft
 * @property ?int $live_revision_id
 * @property ?string $guest_token of the link by which guests come
 * @property string $about Markdown; for its public page
 * @property bool $takes_next_run whether people can ask to be told when it runs again
 * @property ?string $address under which it is found; null: its key
 * @property string $old_address closing or nothing: what its key leads to where it has another address
 * @property bool $listed_over whether the front names it once it is retired
 * @property string $subject by which courses are told of together; empty: none
 * @property ?string $retirement {@see Retirement} that goes with the draft
 * @property int $last_draft_version of drafts that are no more
 * @property ?Revision $liveRevision
 * @property ?Draft $draft
 */
final class Course extends Record
{
    protected $table = 'courses';

    protected $guarded = [];

    protected $casts = ['hidden' => 'boolean', 'takes_next_run' => 'boolean', 'listed_over' => 'boolean'];

    public function getRouteKeyName(): string
    {
        return 'key';
    }

    /** What stands in addresses. */
    public function getRouteKey(): string
    {
        return $this->address ?? $this->key;
    }

    /** By its address, or by its key, whatever that leads to. */
    public static function foundAt(string $address): ?self
    {
        return self::query()->where('key', $address)->orWhere('address', $address)->orderByRaw('address is null')->first();
    }

    /** Whether an address leads to no other course. */
    public function mayHaveAddress(string $address): bool
    {
        return self::query()->whereKeyNot($this->id)->where(static fn ($query) => $query->where('key', $address)->orWhere('address', $address))->doesntExist();
    }

    /** @return BelongsTo<Revision, $this> */
    public function liveRevision(): BelongsTo
    {
        return $this->belongsTo(Revision::class, 'live_revision_id');
    }

    /** @return HasMany<Revision, $this> */
    public function revisions(): HasMany
    {
        return $this->hasMany(Revision::class);
    }

    /** @return HasOne<Draft, $this> */
    public function draft(): HasOne
    {
        return $this->hasOne(Draft::class);
    }

    /** Ends a draft, published or thrown away. The next one counts its versions on from there. */
    public static function endDraft(Draft $draft): void
    {
        self::query()->whereKey($draft->course_id)->update(['last_draft_version' => $draft->version, 'retirement' => null]);
        $draft->delete();
    }
}
