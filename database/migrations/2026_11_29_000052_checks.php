<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What checks have found and somebody has accepted, what is counted on people, and how much samples may give away. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('accepted_findings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('subject', 32)->comment('digest of what the finding is of');
            $table->string('cause', 32)->comment('digest of the rules that made it so: with others it is found again');
            $table->string('reason');
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->timestamp('accepted_at');
            $table->unique(['course_id', 'subject']);
        });
        Schema::create('people_counts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('what');
            $table->string('stamp', 32)->comment('digest of what the count depends on');
            $table->json('result')->comment('of those who were looked at so far');
            $table->unsignedInteger('looked')->default(0)->comment('people');
            $table->unsignedInteger('of')->default(0);
            $table->unsignedBigInteger('reached')->default(0)->comment('the last person who was looked at, by id');
            $table->timestamp('began_at');
            $table->timestamp('finished_at')->nullable();
            $table->unique(['course_id', 'what']);
        });
        Schema::table('schools', fn (Blueprint $table) => $table->float('sample_share')->default(0.3)->comment('of lessons, and of their minutes, that samples may give away'));
    }

    public function down(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn('sample_share'));
        Schema::dropIfExists('people_counts');
        Schema::dropIfExists('accepted_findings');
    }
};
