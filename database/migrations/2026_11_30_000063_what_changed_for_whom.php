<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Who held something of a course that is there no more is found without reading the whole ledger. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dateTime('publish_rehearsed_at')->nullable();
        });
        // Which rehearsal somebody was shown before they published: what it said, the ledger says again.
        Schema::create('rehearsed', function (Blueprint $table): void {
            $table->foreignId('revision_id')->primary()->constrained()->cascadeOnDelete();
            $table->bigInteger('made_at');
            $table->bigInteger('for');
        });
        DB::statement("create index ledger_of_gone on ledger (course_id, person_id) where what = 'gone' and subject in ('passes', 'grants')");
    }

    public function down(): void
    {
        DB::statement('drop index ledger_of_gone');
        Schema::dropIfExists('rehearsed');
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dropColumn('publish_rehearsed_at');
        });
    }
};
