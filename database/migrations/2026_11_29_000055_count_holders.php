<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * How often the passes of a course have changed, written by the database itself whoever changes them: what was counted of them holds for as
 * long as that stays the same. One row a course: there is one writer at a time.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pass_changes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('changes');
            $table->unique('course_id');
        });
        DB::getDriverName() === 'sqlite' ? $this->byEachRow() : $this->byEachStatement();
        // Staff are few among many.
        DB::statement('create index people_who_work_here_index on people (name, id) where role is not null');
    }

    private function byEachRow(): void
    {
        foreach (['insert' => 'new', 'update' => 'new', 'delete' => 'old'] as $when => $row) {
            DB::statement("create trigger passes_{$when}d after {$when} on passes begin insert into pass_changes (course_id, changes) values ({$row}.course_id, 1) on conflict (course_id) do update set changes = changes + 1; end");
        }
    }

    private function byEachStatement(): void
    {
        DB::statement("create function note_pass_changes() returns trigger language plpgsql as 'begin insert into pass_changes (course_id, changes) select distinct course_id, 1 from changed on conflict (course_id) do update set changes = pass_changes.changes + 1; return null; end'");
        foreach (['insert' => 'new', 'update' => 'new', 'delete' => 'old'] as $when => $rows) {
            DB::statement("create trigger passes_{$when}d after {$when} on passes referencing {$rows} table as changed for each statement execute function note_pass_changes()");
        }
    }

    public function down(): void
    {
        DB::statement('drop index if exists people_who_work_here_index');
        foreach (['insert', 'update', 'delete'] as $when) {
            DB::statement("drop trigger if exists passes_{$when}d".(DB::getDriverName() === 'sqlite' ? '' : ' on passes'));
        }
        if (DB::getDriverName() !== 'sqlite') {
            DB::statement('drop function if exists note_pass_changes()');
        }
        Schema::dropIfExists('pass_changes');
    }
};
