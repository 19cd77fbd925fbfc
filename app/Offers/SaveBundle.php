<?php

declare(strict_types=1);

namespace App\Offers;

use App\Models\Bundle;
use App\Models\Offer;
use App\Models\PaidEvery;
use App\Models\Person;
use App\Models\Purchase;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Makes bundles, changes them and drops them: at once, as all that is about selling. */
final readonly class SaveBundle
{
    public function __construct(private ActivityLog $log)
    {
    }

    /**
     * @param  ?Bundle  $bundle  null: a new one
     * @param  array{name: string, price: ?int, currency: string, every: ?PaidEvery}  $columns
     * @param  list<string>  $offers  keys
     */
    public function __invoke(?Bundle $bundle, array $columns, array $offers, Person $author): Bundle
    {
        return DB::transaction(function () use ($bundle, $columns, $offers, $author): Bundle {
            $made = $bundle === null;
            $bundle ??= new Bundle(['key' => self::freeKey($columns['name'])]);
            $before = $made ? null : ['offers' => $bundle->offers->pluck('key')->all(), ...array_intersect_key($bundle->attributesToArray(), $columns)];
            $bundle->fill($columns)->save();
            $bundle->offers()->sync(Offer::query()->whereIn('key', $offers)->pluck('id')->all());
            $this->log->note($made ? 'bundle.made' : 'bundle.changed', $author, null, before: $before, after: ['bundle' => $bundle->key, 'offers' => $offers, ...$columns]);

            return $bundle->refresh();
        });
    }

    /** Whether it could be: what somebody has bought stays, and is no longer sold instead. */
    public function drop(Bundle $bundle, Person $author): bool
    {
        return DB::transaction(function () use ($bundle, $author): bool {
            if (Purchase::query()->where('bundle_id', $bundle->id)->exists()) {
                return false;
            }
            $this->log->note('bundle.dropped', $author, null, before: ['bundle' => $bundle->key, 'name' => $bundle->name]);
            $bundle->delete();

            return true;
        });
    }

    private static function freeKey(string $name): string
    {
        $stem = substr(trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower(Str::ascii($name))), '-'), 0, 40);
        $stem = $stem === '' ? 'bundle' : $stem;
        for ($n = 1, $key = $stem; Bundle::query()->where('key', $key)->exists(); $n++) {
            $key = $stem.'-'.($n + 1);
        }

        return $key;
    }
}
