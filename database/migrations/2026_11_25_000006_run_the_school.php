<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('schools', function (Blueprint $table): void {
            $table->unsignedInteger('warn_days')->default(3)->comment('before a trial that erases ends, its learner is told');
            $table->unsignedInteger('grace_days')->default(7)->comment('after it has ended, before anything is erased');
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->dateTime('seen_at')->nullable()->comment('last time that they opened a page signed in');
            $table->index('seen_at');
        });
        Schema::table('offers', function (Blueprint $table): void {
            $table->text('labels')->default('[]')->comment('JSON: labels that its holders get');
            $table->boolean('trial')->default(false);
            $table->boolean('erases')->default(false)->comment('what was finished is erased some time after a pass of it has ended');
        });
        Schema::table('passes', function (Blueprint $table): void {
            $table->string('source')->default('by hand')->comment('what gave it, in words');
            $table->foreignId('given_by')->nullable()->constrained('people')->nullOnDelete();
            $table->dateTime('paused_at')->nullable()->comment('since when it is paused');
            $table->boolean('clock_stops')->default(false)->comment('while it is paused its days do not count');
            $table->dateTime('warned_at')->nullable()->comment('its holder was told that it ends and what will be erased');
            $table->dateTime('erased_at')->nullable()->comment('what was finished was erased, or there was a reason to keep it');
            $table->index(['offer_id', 'ends_at']);
        });
        Schema::table('labels', function (Blueprint $table): void {
            $table->string('source')->default('by hand');
        });
        Schema::create('looks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->string('via')->comment('the route by which it was open when it was first looked at');
            $table->dateTime('first_at');
            $table->dateTime('last_at');
            $table->unique(['person_id', 'course_id', 'item_key']);
        });
        Schema::create('sign_in_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('token_hash', 64)->unique();
            $table->dateTime('expires_at');
            $table->dateTime('used_at')->nullable();
        });
        Schema::create('messages', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('to');
            $table->string('subject');
            $table->text('body')->comment('plain text');
            $table->string('once')->nullable()->unique()->comment('what it is about, so that it is not sent twice');
            $table->dateTime('sent_at');
            $table->index(['person_id', 'id']);
        });
        Schema::create('segments', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('name');
            $table->text('query')->comment('as the address of the list has it');
            $table->timestamps();
            $table->unique(['person_id', 'name']);
        });
        Schema::create('people_acts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('actor_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('told')->comment('what was done, in a sentence');
            $table->longText('changes')->comment('JSON: each row that was made, changed or taken away, as it was before and after');
            $table->dateTime('made_at');
            $table->dateTime('undone_at')->nullable();
        });
        Schema::create('imports', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('author_id')->nullable()->constrained('people')->nullOnDelete();
            $table->string('kind')->comment('csv or oneroster');
            $table->string('name')->comment('of the file');
            $table->string('path')->comment('below storage/app');
            $table->text('options')->comment('JSON: which column is what, and what applies to every row');
            $table->string('state')->default('new')->comment('new, reading, ready, bringing in, done or refused');
            $table->unsignedBigInteger('position')->default(0)->comment('how far it is read, or how many rows are brought in');
            $table->unsignedInteger('rows')->default(0)->comment('read so far');
            $table->text('tally')->comment('JSON: counts of outcomes');
            $table->longText('errors')->comment('JSON: the first lines that are wrong, and why');
            $table->dateTime('made_at');
            $table->dateTime('finished_at')->nullable();
        });
        Schema::create('import_rows', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('line')->comment('of the file');
            $table->string('email');
            $table->string('name');
            $table->text('labels')->comment('JSON');
            $table->foreignId('offer_id')->nullable();
            $table->dateTime('starts_at')->nullable();
            $table->text('observes')->comment('JSON: addresses of the learners that they look in on');
            $table->index(['import_id', 'id']);
            $table->index(['import_id', 'email']);
        });
        Schema::create('erasures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('offer_key');
            $table->text('what')->comment('JSON: keys of the items whose completion went');
            $table->dateTime('erased_at');
        });
    }

    public function down(): void
    {
        foreach (['erasures', 'import_rows', 'imports', 'people_acts', 'segments', 'messages', 'sign_in_links', 'looks'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('labels', fn (Blueprint $table) => $table->dropColumn('source'));
        Schema::table('passes', function (Blueprint $table): void {
            $table->dropIndex(['offer_id', 'ends_at']);
            $table->dropConstrainedForeignId('given_by');
            $table->dropColumn(['source', 'paused_at', 'clock_stops', 'warned_at', 'erased_at']);
        });
        Schema::table('offers', fn (Blueprint $table) => $table->dropColumn(['labels', 'trial', 'erases']));
        Schema::table('people', function (Blueprint $table): void {
            $table->dropIndex(['seen_at']);
            $table->dropColumn('seen_at');
        });
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn(['warn_days', 'grace_days']));
    }
};
