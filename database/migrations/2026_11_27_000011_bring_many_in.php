<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a file of people brings is laid down row by row, and put in force by a few statements. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('import_people', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('person_id')->comment('whom it is; of somebody new the number that is kept for them');
            $table->boolean('is_new');
            $table->string('email');
            $table->string('name');
            $table->unique(['import_id', 'email']);
            $table->index(['import_id', 'person_id']);
        });
        Schema::create('import_passes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('person_id');
            $table->unsignedBigInteger('course_id');
            $table->unsignedBigInteger('offer_id');
            $table->dateTime('starts_at');
            $table->dateTime('ends_at')->nullable();
            $table->dateTime('paced_from')->nullable();
            $table->text('line')->comment('JSON: what the log says of it');
            $table->index(['import_id', 'person_id']);
        });
        Schema::create('import_labels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('person_id');
            $table->string('label');
            $table->unique(['import_id', 'person_id', 'label']);
        });
        Schema::create('import_ties', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->string('observer')->comment('address');
            $table->string('learner')->comment('address');
            $table->unique(['import_id', 'observer', 'learner']);
        });
        Schema::table('imports', function (Blueprint $table): void {
            $table->unsignedBigInteger('staged')->default(0)->comment('the last of its rows that is laid down');
            $table->unsignedBigInteger('basis')->default(0)->comment('the last line of the log that was there when that was begun');
            $table->unsignedBigInteger('basis_turn')->default(0)->comment('the last turn of acts, likewise');
            $table->unsignedBigInteger('lettered')->nullable()->comment('the last of its people who were written to; null: nobody is to be written to yet, or any more');
            $table->string('problem')->nullable()->comment('why it was not brought in');
        });
    }

    public function down(): void
    {
        Schema::table('imports', fn (Blueprint $table) => $table->dropColumn(['staged', 'basis', 'basis_turn', 'lettered', 'problem']));
        foreach (['import_ties', 'import_labels', 'import_passes', 'import_people'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
