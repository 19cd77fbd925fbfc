<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Tokens with which systems of others may ask, and what was answered to what is asked once. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->string('tokenable_type');
            $table->foreignId('tokenable_id')->constrained('people')->cascadeOnDelete();
            $table->string('name');
            $table->string('token', 64)->unique()->comment('SHA-256 of it');
            $table->text('abilities')->comment('JSON');
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable();
            $table->timestamps();
        });
        Schema::create('kept_answers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('token_id')->constrained('personal_access_tokens')->cascadeOnDelete();
            $table->string('key', 100)->comment('Idempotency-Key');
            $table->string('asked', 64)->comment('SHA-256 of the method, the address and the body');
            $table->unsignedInteger('status')->nullable()->comment('null: it is being done');
            $table->text('headers')->nullable()->comment('JSON');
            $table->text('body')->nullable();
            $table->dateTime('made_at')->index();
            $table->unique(['token_id', 'key']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('kept_answers');
        Schema::dropIfExists('personal_access_tokens');
    }
};
