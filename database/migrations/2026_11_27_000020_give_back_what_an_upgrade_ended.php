<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('passes', function (Blueprint $table): void {
            $table->foreignId('ended_by')->nullable()->comment('the purchase of an upgrade in whose favour it ended')->constrained('purchases')->nullOnDelete();
            $table->timestamp('would_end_at')->nullable()->comment('while ended_by stands: when it would have ended; null: never');
            $table->index('ended_by');
        });
    }

    public function down(): void
    {
        Schema::table('passes', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('ended_by');
            $table->dropColumn('would_end_at');
        });
    }
};
