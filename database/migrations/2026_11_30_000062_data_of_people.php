<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Who was erased, and for how many days the school keeps what. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', function (Blueprint $table): void {
            $table->dateTime('erased_at')->nullable();
        });
        Schema::table('schools', function (Blueprint $table): void {
            $table->text('kept_days')->default('{}');
        });
        Schema::create('erased_people', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->unique()->constrained('people')->cascadeOnDelete();
            $table->string('by');
            $table->string('state');
            // Encrypted, and gone as soon as nothing is left to be looked for.
            $table->text('sought')->nullable();
            $table->text('gone')->default('{}');
            $table->text('left')->default('[]');
            $table->dateTime('erased_at');
            $table->dateTime('finished_at')->nullable();
            $table->index(['state', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('erased_people');
        Schema::table('schools', function (Blueprint $table): void {
            $table->dropColumn('kept_days');
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->dropColumn('erased_at');
        });
    }
};
