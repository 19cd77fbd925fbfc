<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** How often each closed door is met, by whom, and what they do next; of nobody in particular. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('notice_meetings', function (Blueprint $table): void {
            $table->id();
            $table->string('token', 32)->unique()->comment('of one door in one session on one day; says nothing of who it was');
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->string('case', 40);
            $table->string('who', 20)->comment('visitor, guest, member, observer or holder');
            $table->string('then', 20)->nullable()->comment('taken, signed-in or went-on; null: they left');
            $table->dateTime('met_at');
            $table->index(['course_id', 'item_key', 'case', 'met_at']);
            $table->index('met_at');
        });
        Schema::create('notice_weeks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->string('case', 40);
            $table->date('week')->comment('its Monday, in UTC');
            $table->unsignedInteger('met');
            $table->unsignedInteger('taken');
            $table->unsignedInteger('signed_in');
            $table->unsignedInteger('went_on');
            $table->unique(['course_id', 'item_key', 'case', 'week']);
            $table->index('week');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('notice_weeks');
        Schema::dropIfExists('notice_meetings');
    }
};
