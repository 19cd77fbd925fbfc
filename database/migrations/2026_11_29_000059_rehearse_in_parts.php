<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A long rehearsal is looked at in parts, by several workers at once. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('rehearsal_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('rehearsal_id')->constrained('rehearsals')->cascadeOnDelete();
            $table->string('phase');
            $table->unsignedBigInteger('last_id')->comment('everybody of the part up to this one is counted');
            $table->unsignedBigInteger('up_to')->nullable()->comment('the last of the part; null: to the end');
            $table->unsignedInteger('looked')->default(0);
            $table->text('tally')->comment('JSON');
            $table->dateTime('finished_at')->nullable();
            $table->index('rehearsal_id');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('rehearsal_parts');
    }
};
