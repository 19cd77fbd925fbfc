<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('vantage_sets', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->text('vantages')->comment('JSON: a list of vantages as addresses name them');
            $table->timestamps();
            $table->unique(['person_id', 'course_id', 'name']);
        });
        Schema::create('expectations', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('author_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('vantage')->comment('as addresses name it; days are counted at the instant of the check');
            $table->string('item_key');
            $table->string('must')->comment('open, closed or never: at the instant of the check, or at no instant from then on');
            $table->dateTime('made_at');
            $table->unique(['course_id', 'vantage', 'item_key', 'must']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('expectations');
        Schema::dropIfExists('vantage_sets');
    }
};
