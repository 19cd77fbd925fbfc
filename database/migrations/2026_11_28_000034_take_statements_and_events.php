<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What systems of others say of learners' progress, and what they say came about. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('statements', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->boolean('completes')->comment('whether it says that the item is finished');
            $table->string('digest', 64)->comment('of what it says: the same id with another is refused');
            $table->text('body')->comment('JSON: an xAPI statement');
            $table->dateTime('stored_at')->index();
        });
        Schema::create('incoming_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('outside_system_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('source');
            $table->string('event')->comment('its id, unique in its source');
            $table->string('type');
            $table->text('body')->comment('JSON: a CloudEvent');
            $table->string('signature', 100)->unique()->comment('by which it came: a second time it is a copy');
            $table->dateTime('received_at');
            $table->unique(['outside_system_id', 'source', 'event']);
            $table->index(['outside_system_id', 'type', 'received_at']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('incoming_events');
        Schema::dropIfExists('statements');
    }
};
