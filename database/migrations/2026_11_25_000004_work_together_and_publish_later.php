<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('draft_edits', function (Blueprint $table): void {
            $table->unsignedInteger('version')->nullable()->comment('of the draft once it was made');
        });
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dateTime('publish_at')->nullable()->comment('when it is to go live; null: when somebody publishes it');
            $table->unsignedInteger('publish_version')->nullable()->comment('the version that is to go live');
            $table->foreignId('publish_by')->nullable()->constrained('people')->nullOnDelete();
            $table->string('publish_note')->nullable();
            $table->text('publish_refused')->nullable()->comment('why the last set time passed without a publication');
            $table->index('publish_at');
        });
        Schema::table('courses', function (Blueprint $table): void {
            $table->unsignedInteger('last_draft_version')->default(0)->comment('of drafts that are no more; the next one counts on from there, so that no version means two things');
        });
        Schema::create('rehearsals', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('draft_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('version')->comment('of the draft');
            $table->foreignId('base_revision_id')->nullable()->constrained('revisions')->cascadeOnDelete();
            $table->dateTime('instant')->comment('of the change that is rehearsed');
            $table->dateTime('set_for')->nullable()->comment('the time that was asked for; null: at once');
            $table->unsignedBigInteger('last_person_id')->default(0)->comment('everybody up to this one is looked at');
            $table->unsignedInteger('people')->default(0)->comment('how many are looked at');
            $table->unsignedInteger('of')->comment('how many there are');
            $table->longText('tally')->comment('JSON: counts and names by effect');
            $table->dateTime('finished_at')->nullable();
            $table->index(['draft_id', 'version']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('rehearsals');
        Schema::table('courses', function (Blueprint $table): void {
            $table->dropColumn('last_draft_version');
        });
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dropIndex(['publish_at']);
            $table->dropConstrainedForeignId('publish_by');
            $table->dropColumn(['publish_at', 'publish_version', 'publish_note', 'publish_refused']);
        });
        Schema::table('draft_edits', function (Blueprint $table): void {
            $table->dropColumn('version');
        });
    }
};
