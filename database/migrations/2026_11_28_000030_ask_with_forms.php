<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Small public forms, and what was answered. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('forms', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('token')->unique()->comment('part of its address');
            $table->boolean('on')->default(true);
            $table->text('text')->comment('Markdown, above its fields');
            $table->string('consent')->default('')->comment('what is agreed to; empty: nothing is asked');
            $table->json('questions')->default('[]')->comment('of the school: ask and required');
            $table->text('thanks')->comment('Markdown, once it is sent');
            $table->unsignedInteger('version')->default(1);
        });
        Schema::create('form_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('form_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('name');
            $table->string('email');
            $table->boolean('consents');
            $table->json('answers')->comment('to the questions, in their words then');
            $table->string('once')->unique()->comment('made by the page: the same one twice is one');
            $table->dateTime('sent_at');
            $table->index(['form_id', 'sent_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('form_answers');
        Schema::dropIfExists('forms');
    }
};
