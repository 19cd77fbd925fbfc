<?php

declare(strict_types=1);

namespace App\School\Backup;

use App\Database\Copying\CopySchool;
use App\Database\Copying\OtherDatabase;
use App\Models\School;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

/** PostgreSQL: rows are copied to and from a file of SQLite, counted and compared. So a backup can be brought back wherever the school goes. */
final readonly class PgsqlInPlace implements DatabaseInPlace
{
    public function whilePacked(Closure $pack): mixed
    {
        // What is packed is one instant of the database, however long it takes: nobody waits.
        return $pack();
    }

    public function copyTo(string $file): void
    {
        $copy = OtherDatabase::sqlite($file);
        $copy->migrate();
        $instant = OtherDatabase::sameAgain();
        $instant->connection->unprepared('begin isolation level repeatable read read only');
        try {
            (new CopySchool($instant->connection, $copy->connection))();
        } finally {
            $instant->close();
            $copy->close();
        }
    }

    public function isThere(): bool
    {
        return Schema::hasTable('schools') && School::query()->exists();
    }

    public function fileForNew(): string
    {
        return Storage::disk('local')->path('restored-'.bin2hex(random_bytes(4)).'.new');
    }

    public function replaceWith(string $file, bool $keep): ?string
    {
        $kept = null;
        if ($keep) {
            $kept = Storage::disk('local')->path('school.replaced-'.gmdate('Ymd-His').'-'.bin2hex(random_bytes(2)).'.sqlite');
            $this->copyTo($kept);
        }
        Artisan::call('migrate', ['--force' => true]);
        $new = OtherDatabase::sqlite($file);
        $new->migrate();
        (new CopySchool($new->connection, DB::connection()))();
        $new->close();

        return $kept;
    }
}
