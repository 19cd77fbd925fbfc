<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What was shown before a loss is carried by whoever saw it, signed, and no longer noted at the draft. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dropColumn('rehearsed_version');
            $table->boolean('publish_losses_seen')->default(false)->comment('what it takes away at the set time was shown to whoever set it');
        });
        // Rehearsals are made anew whenever they are asked for; the unfinished ones begin again.
        Schema::drop('rehearsals');
        Schema::create('rehearsals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions')->cascadeOnDelete(); // what was live
            $table->string('subject')->comment('what is to be live instead: a version of a draft, or an earlier revision');
            $table->dateTime('instant')->comment('of the change that is rehearsed');
            $table->dateTime('set_for')->nullable()->comment('the time that was asked for; null: at once');
            $table->dateTime('made_at')->comment('when it was begun');
            $table->string('phase')->comment('who is being looked at: people, then observers, then nobody any more');
            $table->unsignedBigInteger('last_id')->default(0)->comment('everybody of the phase up to this one is looked at');
            $table->unsignedInteger('looked')->default(0)->comment('how many are looked at');
            $table->unsignedInteger('of')->comment('how many there are');
            $table->longText('people')->comment('JSON: counts and names by effect');
            $table->longText('observers')->comment('JSON, likewise');
            $table->dateTime('finished_at')->nullable();
            $table->index(['course_id', 'subject']);
        });
    }

    public function down(): void
    {
        Schema::drop('rehearsals');
        Schema::create('rehearsals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('draft_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version');
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions')->cascadeOnDelete();
            $table->dateTime('instant');
            $table->dateTime('set_for')->nullable();
            $table->unsignedBigInteger('last_person_id')->default(0);
            $table->unsignedInteger('people')->default(0);
            $table->unsignedInteger('of');
            $table->longText('tally');
            $table->dateTime('finished_at')->nullable();
            $table->index(['draft_id', 'version']);
        });
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dropColumn('publish_losses_seen');
            $table->unsignedInteger('rehearsed_version')->nullable();
        });
    }
};
