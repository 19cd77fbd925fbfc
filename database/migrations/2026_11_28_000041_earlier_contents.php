<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What lessons held before, and what they are to hold once their course's draft is published. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('contents', function (Blueprint $table): void {
            $table->foreignId('written_by')->nullable()->constrained('people')->nullOnDelete();
            $table->json('drafted')->nullable()->comment('goes live with the draft of the course');
            $table->unsignedInteger('drafted_version')->default(0);
        });
        Schema::create('content_versions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->unsignedInteger('version');
            $table->json('written')->comment('text, quiz, quiz_rules, board, minutes');
            $table->foreignId('written_by')->nullable()->constrained('people')->nullOnDelete();
            $table->dateTime('written_at');
            $table->dateTime('replaced_at');
            $table->index(['course_id', 'item_key', 'version']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('content_versions');
        Schema::table('contents', function (Blueprint $table): void {
            $table->dropForeign(['written_by']);
            $table->dropColumn(['written_by', 'drafted', 'drafted_version']);
        });
    }
};
