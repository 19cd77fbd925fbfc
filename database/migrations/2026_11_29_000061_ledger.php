<?php

declare(strict_types=1);

use App\Ledger\History\History;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** The ledger, with what the school's history can tell of the time before there was one. */
return new class extends Migration
{
    public function up(): void
    {
        // What a migration left behind that was stopped.
        Schema::dropIfExists('ledger');
        Schema::create('ledger', function (Blueprint $table): void {
            $table->bigInteger('id')->primary();
            $table->bigInteger('at');
            $table->string('by');
            $table->string('cause');
            $table->string('subject');
            $table->bigInteger('row_id');
            $table->bigInteger('person_id')->nullable();
            $table->bigInteger('course_id')->nullable();
            $table->string('what');
            $table->text('content');
            $table->string('chain');
            $table->index(['person_id', 'id']);
        });
        // What is nobody's is little, and asked for by what it is.
        DB::statement('create index ledger_of_school on ledger (subject, id) where person_id is null');
        // So is who looks in on whom, which is asked for from both sides.
        DB::statement("create index ledger_of_ties on ledger (subject, id) where subject = 'observer_ties'");
        DB::transaction(static fn () => app(History::class)->tell());
    }

    public function down(): void
    {
        Schema::dropIfExists('ledger');
    }
};
