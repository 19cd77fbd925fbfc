<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whoever comes to a course that is over can ask to be told when it runs again. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('courses', function (Blueprint $table): void {
            $table->boolean('takes_next_run')->default(true)->comment('whether people can ask to be told when it runs again');
        });
        Schema::create('next_runs', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('name', 200);
            $table->string('email', 190);
            $table->string('token', 40)->unique()->comment('of the link by which one is not written to any more');
            $table->dateTime('asked_at');
            $table->dateTime('told_at')->nullable()->comment('when they were written to; null: they wait');
            $table->unique(['course_id', 'email']);
            $table->index(['course_id', 'told_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('next_runs');
        Schema::table('courses', fn (Blueprint $table) => $table->dropColumn('takes_next_run'));
    }
};
