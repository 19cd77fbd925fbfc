<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What somebody looked at, and which closed doors they met, day by day. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('visits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            // Which kind of closed door it was; empty: it was open.
            $table->string('met')->default('');
            $table->string('day');
            $table->integer('times')->default(1);
            $table->dateTime('first_at');
            $table->dateTime('last_at')->index();
            $table->unique(['person_id', 'course_id', 'item_key', 'met', 'day']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('visits');
    }
};
