<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A file of very many people is made in the queue, part by part, and kept for a day. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('people_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->comment('who asked for it, and alone gets it')->constrained('people')->cascadeOnDelete();
            $table->text('query')->comment('the filter as addresses have it');
            $table->string('making', 80)->nullable()->unique()->comment('of whom, and of what filter, while it is made: asked for twice it is made once');
            $table->boolean('listed')->comment('on the page of people; not where a program asked');
            $table->string('course')->nullable()->comment('key of the one whose progress is told; null: of those they hold passes of');
            $table->boolean('samples')->comment('whether it is told which samples they looked at');
            $table->string('form')->nullable()->comment('of CSV, as whoever asked has it');
            $table->string('state')->default('making');
            $table->unsignedInteger('made')->default(0)->comment('people whose lines are there');
            $table->unsignedInteger('of');
            $table->unsignedBigInteger('bytes')->default(0);
            $table->dateTime('asked_at');
            $table->dateTime('finished_at')->nullable();
            $table->index(['person_id', 'asked_at']);
            $table->index('asked_at');
        });
        Schema::create('people_file_parts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('file_id')->constrained('people_files')->cascadeOnDelete();
            $table->unsignedInteger('place');
            $table->text('people')->comment('ids, in the order of their lines');
            $table->text('lines')->nullable()->comment('null: not made yet');
            $table->index(['file_id', 'place']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('people_file_parts');
        Schema::dropIfExists('people_files');
    }
};
