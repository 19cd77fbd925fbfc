<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whoever helps people gives one more try at a quiz. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('given_tries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->unsignedInteger('tried')->comment('so often they had until then: that one is not waited for');
            $table->dateTime('given_at');
            $table->index(['person_id', 'course_id', 'item_key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('given_tries');
    }
};
