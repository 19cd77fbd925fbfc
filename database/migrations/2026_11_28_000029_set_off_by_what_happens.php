<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What happens by itself when something comes about, and each time that it did. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('triggers', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->boolean('on')->default(false);
            $table->json('spec')->comment('when, if, then');
            $table->dateTime('since')->nullable()->comment('what came about before this instant sets nothing off; null: it was never on');
            $table->unsignedInteger('version')->default(1);
        });
        Schema::create('trigger_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('trigger_id')->constrained()->cascadeOnDelete();
            $table->string('key')->comment('of what came about: the same one twice sets off one run');
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('cause')->comment('what came about, in words');
            $table->json('spec')->comment('as it was then');
            $table->string('state')->comment('waiting, done, left, failed, stopped or taken back');
            $table->json('did')->comment('outcome of each step: words, and the number of the act that can be taken back');
            $table->unsignedInteger('tries')->default(0);
            $table->dateTime('due_at')->nullable()->comment('of what waits: when it is tried next');
            $table->string('problem')->nullable();
            $table->dateTime('happened_at');
            $table->dateTime('made_at');
            $table->unique(['trigger_id', 'key']);
            $table->index(['state', 'due_at']);
            $table->index(['person_id', 'id']);
            $table->index(['trigger_id', 'id']);
        });
        Schema::table('completions', fn (Blueprint $table) => $table->index('completed_at'));
        Schema::table('passes', fn (Blueprint $table) => $table->index('starts_at'));
        Schema::table('activities', fn (Blueprint $table) => $table->index(['action', 'happened_at']));
    }

    public function down(): void
    {
        Schema::table('activities', fn (Blueprint $table) => $table->dropIndex(['action', 'happened_at']));
        Schema::table('passes', fn (Blueprint $table) => $table->dropIndex(['starts_at']));
        Schema::table('completions', fn (Blueprint $table) => $table->dropIndex(['completed_at']));
        Schema::dropIfExists('trigger_runs');
        Schema::dropIfExists('triggers');
    }
};
