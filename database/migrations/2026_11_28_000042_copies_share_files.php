<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Copies of a lesson show the same films and hand out the same files. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('media', function (Blueprint $table): void {
            $table->dropUnique(['path']);
            $table->index('path');
            $table->index('poster');
        });
    }

    public function down(): void
    {
        Schema::table('media', function (Blueprint $table): void {
            $table->dropIndex(['poster']);
            $table->dropIndex(['path']);
            $table->unique('path');
        });
    }
};
