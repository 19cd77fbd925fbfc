<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Acts on many people are prepared row by row, and put in force by a few statements. The queue does what takes long.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('queue')->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });
        Schema::create('failed_jobs', function (Blueprint $table): void {
            $table->id();
            $table->string('uuid')->unique();
            $table->text('connection');
            $table->text('queue');
            $table->longText('payload');
            $table->longText('exception');
            $table->timestamp('failed_at')->useCurrent();
        });
        Schema::create('act_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('act_id')->constrained('people_acts')->cascadeOnDelete();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete(); // whom it is done to
            $table->string('table')->comment('whose row is made, changed or taken away');
            $table->string('shape')->comment('how, and which columns: rows of one shape are put in force by one statement');
            $table->unsignedInteger('nth')->nullable()->comment('of the rows that the act makes in that table');
            $table->unsignedBigInteger('row_id')->nullable()->comment('null: not made yet');
            $table->text('before')->nullable()->comment('JSON: columns as they were; null: it was not there');
            $table->text('after')->nullable()->comment('JSON: columns as they are then; null: it is taken away');
            $table->index(['act_id', 'table', 'shape']);
            $table->index(['table', 'row_id']);
        });
        Schema::create('act_letters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('act_id')->index()->constrained('people_acts')->cascadeOnDelete();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('to');
            $table->string('subject');
            $table->text('body');
        });
        Schema::table('people_acts', function (Blueprint $table): void {
            $table->string('state')->default('done')->comment('preparing, prepared, done, undoing or refused');
            $table->longText('form')->default('{}')->comment('JSON: what is to be done, as it was asked for');
            $table->longText('people')->default('[]')->comment('JSON: ids of those chosen, while it is prepared');
            $table->unsignedInteger('looked')->default(0)->comment('how many of them are looked at');
            $table->unsignedInteger('of')->default(0);
            $table->unsignedInteger('touched')->default(0)->comment('to how many something happens');
            $table->longText('outcomes')->default('{}')->comment('JSON: how many by outcome, and some names');
            $table->unsignedBigInteger('basis')->default(0)->comment('the last line of the log that was there when it was prepared');
            $table->unsignedBigInteger('basis_turn')->default(0)->comment('the last turn, likewise');
            $table->unsignedBigInteger('turn')->nullable()->unique()->comment('counts what was put in force or taken back, in that order');
            $table->string('problem')->nullable()->comment('why it was not done, or not taken back');
            $table->string('once', 60)->nullable()->unique()->comment('made by the form that asked for it, so that it is not done twice');
        });
        Schema::table('activities', function (Blueprint $table): void {
            $table->foreignId('act_id')->nullable()->constrained('people_acts')->cascadeOnDelete(); // a line that holds only once this act is in force
            $table->boolean('taken_back')->default(false)->comment('a line that holds only once the act is taken back');
        });
        // Most lines belong to no such act: they need not stand in an index of acts.
        DB::statement('create index activities_act_id_index on activities (act_id) where act_id is not null');
        $turn = 0;
        foreach (DB::table('people_acts')->orderBy('id')->get(['id', 'changes']) as $act) {
            $rows = [];
            foreach (json_decode((string) $act->changes, true, 512, JSON_THROW_ON_ERROR) as $change) {
                $columns = [...($change['before'] ?? []), ...($change['after'] ?? [])];
                $person = $columns['person_id'] ?? $columns['learner_id'] ?? DB::table($change['table'])->where('id', $change['id'])->value($change['table'] === 'observer_ties' ? 'learner_id' : 'person_id');
                if ($person !== null) {
                    $kind = $change['before'] === null ? 'make' : ($change['after'] === null ? 'take' : 'change');
                    $rows[] = [
                        'act_id' => $act->id, 'person_id' => $person, 'table' => $change['table'], 'row_id' => $change['id'],
                        'shape' => $kind.' '.implode(' ', array_keys($change['after'] ?? $change['before'])),
                        'before' => $change['before'] === null ? null : json_encode($change['before'], JSON_THROW_ON_ERROR), 'after' => $change['after'] === null ? null : json_encode($change['after'], JSON_THROW_ON_ERROR),
                    ];
                }
            }
            foreach (array_chunk($rows, 200) as $some) {
                DB::table('act_changes')->insert($some);
            }
            DB::table('people_acts')->where('id', $act->id)->update(['turn' => ++$turn]);
        }
        Schema::table('people_acts', fn (Blueprint $table) => $table->dropColumn('changes'));
    }

    public function down(): void
    {
        Schema::table('people_acts', fn (Blueprint $table) => $table->longText('changes')->default('[]'));
        foreach (DB::table('people_acts')->pluck('id') as $act) {
            $changes = [];
            foreach (DB::table('act_changes')->where('act_id', $act)->orderBy('id')->get() as $row) {
                $read = static fn (?string $json): mixed => $json === null ? null : json_decode($json, true);
                $changes[] = ['table' => $row->table, 'id' => $row->row_id, 'before' => $read($row->before), 'after' => $read($row->after)];
            }
            DB::table('people_acts')->where('id', $act)->update(['changes' => json_encode($changes, JSON_THROW_ON_ERROR)]);
        }
        DB::table('activities')->whereNotNull('act_id')->delete();
        Schema::table('activities', function (Blueprint $table): void {
            $table->dropIndex(['act_id']);
            $table->dropConstrainedForeignId('act_id');
            $table->dropColumn('taken_back');
        });
        Schema::table('people_acts', function (Blueprint $table): void {
            $table->dropUnique(['turn']);
            $table->dropUnique(['once']);
            $table->dropColumn(['state', 'form', 'people', 'looked', 'of', 'touched', 'outcomes', 'basis', 'basis_turn', 'turn', 'problem', 'once']);
        });
        foreach (['act_letters', 'act_changes', 'failed_jobs', 'jobs'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
