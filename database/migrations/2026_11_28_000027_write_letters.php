<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The school's own letters, who wants which, and letters that wait to be sent. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('letter_texts', function (Blueprint $table): void {
            $table->id();
            $table->string('kind')->unique();
            $table->boolean('on')->comment('whether it is written at all');
            $table->unsignedInteger('days')->nullable()->comment('before the end of a pass');
            $table->unsignedInteger('hour')->nullable()->comment('of the day, by the wall clock of the school');
            $table->string('subject')->nullable()->comment('with placeholders; null: the usual one');
            $table->text('body')->nullable()->comment('plain text with placeholders; null: the usual one');
            $table->dateTime('since')->comment('what happened before this instant is not written of');
            $table->unsignedInteger('version')->default(1);
        });
        Schema::create('letter_choices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('kind');
            $table->boolean('wanted');
            $table->dateTime('told_until')->nullable()->comment('of a digest: what opened up to this instant was told');
            $table->unique(['person_id', 'kind']);
            $table->index(['kind', 'wanted', 'person_id']);
        });
        Schema::table('messages', function (Blueprint $table): void {
            $table->renameColumn('sent_at', 'written_at');
        });
        Schema::table('messages', function (Blueprint $table): void {
            $table->string('kind')->nullable()->comment('of the school\'s letters; null: one that nobody can stop');
            $table->string('stop')->nullable()->comment('address at which its reader stops such letters');
            $table->text('sealed')->nullable()->comment('encrypted until it is sent: the body with what only its reader may see');
            $table->string('state')->default('sent')->comment('waiting, sent, failed or stopped');
            $table->unsignedInteger('tries')->default(0);
            $table->dateTime('due_at')->nullable()->comment('of what waits: when it is tried next');
            $table->string('problem')->nullable();
            $table->index(['state', 'due_at']);
        });
        Schema::table('act_letters', function (Blueprint $table): void {
            $table->string('kind')->nullable();
            $table->string('stop')->nullable();
        });
        Schema::table('passes', function (Blueprint $table): void {
            $table->index('created_at');
            $table->index('ends_at');
        });
    }

    public function down(): void
    {
        Schema::table('passes', function (Blueprint $table): void {
            $table->dropIndex(['created_at']);
            $table->dropIndex(['ends_at']);
        });
        Schema::table('act_letters', fn (Blueprint $table) => $table->dropColumn(['kind', 'stop']));
        Schema::table('messages', function (Blueprint $table): void {
            $table->dropIndex(['state', 'due_at']);
            $table->dropColumn(['kind', 'stop', 'sealed', 'state', 'tries', 'due_at', 'problem']);
        });
        Schema::table('messages', fn (Blueprint $table) => $table->renameColumn('written_at', 'sent_at'));
        Schema::dropIfExists('letter_choices');
        Schema::dropIfExists('letter_texts');
    }
};
