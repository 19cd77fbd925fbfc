<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * Whoever is named by a column is found by an index. SQLite does not use one of what is not null for a column that cannot be null: each
 * person of a file that is taken back was looked for in every row of every act.
 */
return new class extends Migration
{
    private const UNUSED = ['act_changes' => 'person_id', 'act_letters' => 'person_id', 'incoming_events' => 'person_id', 'statements' => 'person_id'];

    private const MISSING = ['accepted_findings' => 'person_id', 'personal_access_tokens' => 'tokenable_id'];

    public function up(): void
    {
        foreach (self::UNUSED as $table => $column) {
            DB::statement("drop index {$table}_{$column}_index");
        }
        foreach (self::UNUSED + self::MISSING as $table => $column) {
            DB::statement("create index {$table}_{$column}_index on {$table} ({$column})");
        }
    }

    public function down(): void
    {
        foreach (self::UNUSED + self::MISSING as $table => $column) {
            DB::statement("drop index {$table}_{$column}_index");
        }
        foreach (self::UNUSED as $table => $column) {
            DB::statement("create index {$table}_{$column}_index on {$table} ({$column}) where {$column} is not null");
        }
    }
};
