<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Systems of others that triggers tell, and what they were told. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('outside_systems', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->string('address', 2000);
            $table->boolean('on')->default(true);
            $table->text('secret')->comment('encrypted; what is told is signed with it');
            $table->unsignedInteger('version')->default(1);
        });
        Schema::create('outside_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('outside_system_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->uuid('event')->unique()->comment('its id, by which whoever is told knows it again');
            $table->string('once')->unique();
            $table->text('body')->comment('JSON: a CloudEvent');
            $table->string('state')->default('waiting')->comment('waiting, taken or failed');
            $table->unsignedInteger('tries')->default(0);
            $table->dateTime('due_at')->nullable();
            $table->text('signature')->nullable()->comment('JSON: the headers of the last try');
            $table->unsignedInteger('status')->nullable()->comment('of the last answer');
            $table->text('answer')->nullable()->comment('its beginning');
            $table->string('problem')->nullable();
            $table->dateTime('made_at');
            $table->dateTime('tried_at')->nullable();
            $table->index(['state', 'due_at']);
            $table->index(['outside_system_id', 'id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('outside_events');
        Schema::dropIfExists('outside_systems');
    }
};
