<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was tried in a draft and given up: kept for a day, to be brought back. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('given_up', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions')->nullOnDelete();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('how')->comment('discarded, or undone');
            $table->json('document');
            $table->json('contents')->comment('what was drafted of items, by key');
            $table->timestamp('made_at')->index();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('given_up');
    }
};
