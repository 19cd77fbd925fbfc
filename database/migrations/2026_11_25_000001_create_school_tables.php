<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** All instants are UTC, written as `YYYY-MM-DD HH:MM:SS`. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('schools', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('zone')->comment('IANA zone; wall-clock times in rules are read in it');
            $table->boolean('guests')->default(false)->comment('whether any guest door of the school may be open at all');
            $table->string('contact_name')->nullable();
            $table->string('contact_email')->nullable();
            $table->timestamps();
        });

        Schema::create('people', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('email')->unique()->comment('in lower case');
            $table->string('password')->nullable();
            $table->string('role')->nullable()->comment('of staff; null for everybody else');
            $table->rememberToken();
            $table->timestamps();
            $table->index('name');
        });

        Schema::create('courses', function (Blueprint $table): void {
            $table->id();
            $table->string('key')->unique();
            $table->unsignedBigInteger('live_revision_id')->nullable()->comment('null until it is published for the first time');
            $table->timestamps();
        });

        Schema::create('revisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->restrictOnDelete();
            $table->unsignedInteger('number');
            $table->text('document')->comment('JSON: the course and the access side of its offers, as in a plan document');
            $table->foreignId('author_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('note')->nullable();
            $table->dateTime('published_at');
            $table->unique(['course_id', 'number']);
        });

        Schema::create('drafts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->unique()->constrained()->cascadeOnDelete();
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions');
            $table->text('document');
            $table->unsignedInteger('version')->default(1)->comment('counts every change, so that two editors cannot overwrite each other unseen');
            $table->timestamps();
        });

        Schema::create('draft_edits', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('draft_id')->constrained()->cascadeOnDelete();
            $table->foreignId('author_id')->nullable()->constrained('people')->nullOnDelete();
            $table->text('change')->comment('JSON: what was set where');
            $table->text('before')->comment('JSON: the document as it was before');
            $table->dateTime('made_at');
            $table->index(['draft_id', 'id']);
        });

        Schema::create('contents', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->text('text')->comment('Markdown');
            $table->timestamps();
            $table->unique(['course_id', 'item_key']);
        });

        Schema::create('offers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->restrictOnDelete();
            $table->string('key')->unique();
            $table->string('name');
            $table->unsignedInteger('price')->nullable()->comment('in the smallest unit of the currency; null: not sold');
            $table->string('currency', 3)->default('EUR');
            $table->timestamps();
        });

        Schema::create('passes', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->restrictOnDelete();
            $table->foreignId('offer_id')->constrained()->restrictOnDelete();
            $table->dateTime('starts_at');
            $table->dateTime('ends_at')->nullable()->comment('the first instant at which it has ended; null: for good');
            $table->dateTime('paced_from')->nullable()->comment('null: its own beginning');
            $table->string('state')->default('active');
            $table->timestamps();
            $table->index(['person_id', 'course_id']);
            $table->index(['course_id', 'ends_at']);
        });

        Schema::create('labels', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('label');
            $table->unique(['person_id', 'label']);
            $table->index('label');
        });

        Schema::create('grants', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->dateTime('starts_at');
            $table->dateTime('ends_at')->nullable();
            $table->timestamps();
            $table->index(['person_id', 'course_id']);
        });

        Schema::create('completions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->dateTime('completed_at');
            $table->unique(['person_id', 'course_id', 'item_key']);
        });

        Schema::create('observer_ties', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('observer_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('learner_id')->constrained('people')->cascadeOnDelete();
            $table->timestamps();
            $table->unique(['observer_id', 'learner_id']);
            $table->index('learner_id');
        });

        Schema::create('activities', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('actor_id')->nullable()->constrained('people')->nullOnDelete(); // null: the program itself
            $table->foreignId('course_id')->nullable()->constrained()->nullOnDelete();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete(); // whom it was done to
            $table->string('action');
            $table->text('before')->nullable()->comment('JSON');
            $table->text('after')->nullable()->comment('JSON');
            $table->dateTime('happened_at');
            $table->index(['course_id', 'id']);
            $table->index(['person_id', 'id']);
        });
    }

    public function down(): void
    {
        foreach (['activities', 'observer_ties', 'completions', 'grants', 'labels', 'passes', 'offers', 'contents', 'draft_edits', 'drafts', 'revisions', 'courses', 'people', 'schools'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
