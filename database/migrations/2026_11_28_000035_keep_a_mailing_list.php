<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the stand-in for a mailing list holds: a row for each contact and label. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('list_contacts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('label');
            $table->string('source')->comment('what added them');
            $table->dateTime('added_at');
            $table->unique(['person_id', 'label']);
            $table->index('label');
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('list_contacts');
    }
};
