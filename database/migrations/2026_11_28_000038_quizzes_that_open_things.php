<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How often a quiz is tried, and what its results are called. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('contents', fn (Blueprint $table) => $table->json('quiz_rules')->nullable()->comment('tries, wait in minutes, shuffle, bands; null: as often as one likes'));
    }

    public function down(): void
    {
        Schema::table('contents', fn (Blueprint $table) => $table->dropColumn('quiz_rules'));
    }
};
