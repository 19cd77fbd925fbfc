<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A school may change how long it waits; who was told a day is held to that day. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('passes', function (Blueprint $table): void {
            $table->dateTime('erases_at')->nullable()->comment('the instant that the warning named, while warned_at stands');
        });
    }

    public function down(): void
    {
        Schema::table('passes', fn (Blueprint $table) => $table->dropColumn('erases_at'));
    }
};
