<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is said on a board is answered beneath it, and can be changed for a while. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('posts', function (Blueprint $table): void {
            $table->foreignId('answers_id')->nullable()->comment('what it answers; null: it begins something')->constrained('posts')->cascadeOnDelete();
            $table->dateTime('changed_at')->nullable();
            $table->dateTime('taken_back_at')->nullable()->comment('of what others have answered its place is left');
            $table->index('answers_id');
        });
    }

    public function down(): void
    {
        Schema::table('posts', function (Blueprint $table): void {
            $table->dropForeign(['answers_id']);
            $table->dropIndex(['answers_id']);
            $table->dropColumn(['answers_id', 'changed_at', 'taken_back_at']);
        });
    }
};
