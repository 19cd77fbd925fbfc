<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Files of people end what files gave; and what a file brought is remembered for a time, to be taken back. */
return new class extends Migration
{
    /** Columns that name people, by table: who is taken out is looked for there. */
    private const NAMING = [
        'act_changes' => ['person_id'], 'act_letters' => ['person_id'], 'activities' => ['actor_id'], 'content_versions' => ['written_by'], 'contents' => ['written_by'], 'draft_edits' => ['author_id'],
        'drafts' => ['publish_by'], 'erasures' => ['person_id'], 'expectations' => ['author_id'], 'form_answers' => ['person_id'], 'given_up' => ['person_id'], 'imports' => ['author_id'],
        'incoming_events' => ['person_id'], 'next_runs' => ['person_id'], 'outside_events' => ['person_id'], 'passes' => ['given_by'], 'people_acts' => ['actor_id'], 'pictures' => ['made_by'],
        'posts' => ['person_id'], 'revisions' => ['author_id'], 'statements' => ['person_id'],
    ];

    public function up(): void
    {
        Schema::table('passes', fn (Blueprint $table) => $table->unsignedBigInteger('import_id')->nullable()->comment('the file that gave it'));
        DB::statement("update passes set import_id = (select max(i.id) from imports i where 'from ' || i.name = passes.source and i.finished_at is not null) where source like 'from %'");
        Schema::table('import_rows', function (Blueprint $table): void {
            $table->dateTime('ends_at')->nullable()->comment('when the pass ends that it gives, if that is sooner than it would');
            $table->boolean('takes')->default(false)->comment('whether passes of that offer end which files gave, instead of one being given');
        });
        Schema::create('import_endings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('person_id');
            $table->unsignedBigInteger('pass_id');
            $table->unsignedBigInteger('course_id');
            $table->dateTime('was')->nullable()->comment('when it would have ended; null: never');
            $table->dateTime('becomes')->nullable()->comment('when it ends; null: as the file is brought in');
            $table->string('offer')->comment('key, for the log');
            $table->unique(['import_id', 'pass_id']);
            $table->index(['import_id', 'person_id']);
        });
        Schema::table('imports', function (Blueprint $table): void {
            $table->unsignedBigInteger('taken_back_by')->nullable()->comment('person');
            $table->dateTime('taken_back_at')->nullable();
        });
        foreach (self::NAMING as $table => $columns) {
            foreach ($columns as $column) {
                DB::statement("create index {$table}_{$column}_index on {$table} ({$column}) where {$column} is not null");
            }
        }
    }

    public function down(): void
    {
        foreach (self::NAMING as $table => $columns) {
            foreach ($columns as $column) {
                DB::statement("drop index {$table}_{$column}_index");
            }
        }
        Schema::table('imports', fn (Blueprint $table) => $table->dropColumn(['taken_back_by', 'taken_back_at']));
        Schema::dropIfExists('import_endings');
        Schema::table('import_rows', fn (Blueprint $table) => $table->dropColumn(['ends_at', 'takes']));
        Schema::table('passes', fn (Blueprint $table) => $table->dropColumn('import_id'));
    }
};
