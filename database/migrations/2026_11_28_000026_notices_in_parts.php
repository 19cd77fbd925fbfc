<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What stands on a notice, and in which order. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('notice_texts', function (Blueprint $table): void {
            $table->json('parts')->nullable()->comment('in order; null: as usual');
        });
    }

    public function down(): void
    {
        Schema::table('notice_texts', function (Blueprint $table): void {
            $table->dropColumn('parts');
        });
    }
};
