<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** All that people are found by as one types stands in one index: it is gone through in place of the whole table. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', static fn (Blueprint $table) => $table->index(['name', 'email', 'claimed_email', 'erased_at'], 'people_found'));
    }

    public function down(): void
    {
        Schema::table('people', static fn (Blueprint $table) => $table->dropIndex('people_found'));
    }
};
