<?php

declare(strict_types=1);

namespace App\Triggers\Outside;

use App\Models\OutsideSystem;
use App\Models\Person;
use App\School\Log\ActivityLog;
use Illuminate\Support\Facades\DB;

/** Makes systems of others known, and changes them. Their secrets are nobody's to read but once. */
final readonly class SaveOutside
{
    public function __construct(private ActivityLog $log)
    {
    }

    /** @return array{OutsideSystem, string} with its secret */
    public function make(string $name, string $address, bool $on, Person $author): array
    {
        $secret = self::secret();

        return [DB::transaction(function () use ($name, $address, $on, $author, $secret): OutsideSystem {
            $this->log->note('outside.made', $author, after: ['name' => $name, 'address' => $address]);

            return OutsideSystem::query()->create(['name' => $name, 'address' => $address, 'on' => $on, 'secret' => $secret]);
        }), $secret];
    }

    /**
     * @param  int  $seen  the version that the author saw
     * @return bool false where somebody else was there meanwhile, and nothing was changed
     */
    public function change(OutsideSystem $system, string $name, string $address, bool $on, int $seen, Person $author): bool
    {
        return DB::transaction(function () use ($system, $name, $address, $on, $seen, $author): bool {
            $kept = OutsideSystem::query()->find($system->id);
            if ($kept === null || $kept->version !== $seen) {
                return false;
            }
            $this->log->note('outside.changed', $author, before: ['name' => $kept->name, 'address' => $kept->address, 'on' => $kept->on], after: ['name' => $name, 'address' => $address, 'on' => $on]);

            return $kept->update(['name' => $name, 'address' => $address, 'on' => $on, 'version' => $seen + 1]);
        });
    }

    /** The one before holds no longer, at once. */
    public function newSecret(OutsideSystem $system, Person $author): string
    {
        $secret = self::secret();
        DB::transaction(function () use ($system, $author, $secret): void {
            $system->update(['secret' => $secret]);
            $this->log->note('outside.secret', $author, after: ['name' => $system->name]);
        });

        return $secret;
    }

    private static function secret(): string
    {
        return rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
    }
}
