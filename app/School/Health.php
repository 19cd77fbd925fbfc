<?php

declare(strict_types=1);

namespace App\School;

use App\Ledger\Recording\Recording;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Whether the school works, for whoever watches over the machine. */
final readonly class Health
{
    /** Seconds after which the schedule is late: it is to run every minute. */
    private const LATE = 180;

    private const FILE = 'schedule-ran';

    public function __construct(private Migrator $migrator)
    {
    }

    /** To be called by the schedule, and when a server begins. */
    public function beat(): void
    {
        Storage::put(self::FILE, (string) time());
    }

    /** The instant at which the schedule ran last; null: it never has. */
    public function ranAt(): ?int
    {
        return Storage::exists(self::FILE) ? (int) Storage::get(self::FILE) : null;
    }

    /** @throws \RuntimeException with what is wrong */
    public function check(): void
    {
        DB::select('select 1 from schools limit 1');
        $behind = array_diff(array_keys($this->migrator->getMigrationFiles(database_path('migrations'))), $this->migrator->getRepository()->getRan());
        if ($behind !== []) {
            throw new \RuntimeException('The database is behind by '.count($behind).' migrations.');
        }
        if (! Recording::isOn()) {
            throw new \RuntimeException('Nothing is written into the ledger: php artisan migrate begins it again.');
        }
        if (($this->ranAt() ?? 0) < time() - self::LATE) {
            throw new \RuntimeException('The schedule is late.');
        }
    }
}
