<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('courses', function (Blueprint $table): void {
            $table->text('about')->default('')->comment('Markdown; what the course is, for its public page');
        });
        Schema::table('people', function (Blueprint $table): void {
            $table->string('calendar_token', 40)->nullable()->unique()->comment('of the private link to their own openings; null: there is none');
        });
        Schema::table('contents', function (Blueprint $table): void {
            $table->text('quiz')->default('[]')->comment('JSON: questions, their answers, and which of them are right');
            $table->string('board')->nullable()->comment('what a board is for: announcements, calendar, discussion or marks; null: announcements');
            $table->unsignedInteger('version')->default(1)->comment('counts every change, so that two editors cannot overwrite each other unseen');
        });
        Schema::create('media', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->string('kind')->comment('image, audio, video or file');
            $table->string('title');
            $table->string('name')->comment('of the file, as it is downloaded');
            $table->string('path')->unique()->comment('below storage/app');
            $table->string('type')->comment('of its content, as RFC 6838 names it');
            $table->unsignedBigInteger('bytes');
            $table->double('seconds')->nullable()->comment('how long a video or a recording plays');
            $table->unsignedInteger('position');
            $table->timestamps();
            $table->index(['course_id', 'item_key', 'position']);
        });
        Schema::create('watches', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->foreignId('medium_id')->constrained('media')->cascadeOnDelete();
            $table->double('length')->comment('of the video, in seconds');
            $table->text('played')->comment('what was watched, as the video profile of xAPI writes segments');
            $table->double('spare')->comment('seconds of the margin of reports that are left');
            $table->dateTime('heard_at')->comment('of the last report, or opening');
            $table->unique(['person_id', 'medium_id']);
        });
        Schema::create('watch_reports', function (Blueprint $table): void {
            $table->uuid('id')->primary()->comment('of the xAPI statement');
            $table->foreignId('watch_id')->constrained()->cascadeOnDelete();
            $table->text('played')->comment('as the video profile of xAPI writes segments');
            $table->dateTime('stored_at');
        });
        Schema::create('quiz_tries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->double('score')->comment('from 0 to 1');
            $table->text('answers')->comment('JSON: for each question the answers that were chosen');
            $table->dateTime('tried_at');
            $table->index(['person_id', 'course_id', 'item_key']);
        });
        Schema::create('posts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key')->comment('of the board');
            $table->foreignId('person_id')->nullable()->constrained('people')->nullOnDelete();
            $table->text('text')->comment('plain');
            $table->string('once', 60)->nullable()->unique()->comment('made by the page that sent it, so that it is not said twice');
            $table->dateTime('posted_at');
            $table->index(['course_id', 'item_key', 'id']);
        });
        Schema::create('notice_texts', function (Blueprint $table): void {
            $table->id();
            $table->string('scope')->comment('where it holds: school, or course:ID; later also an item or the holders of an offer');
            $table->foreignId('course_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('case')->comment('the kind of closed door');
            $table->string('way')->default('show')->comment('show, sign-in or address');
            $table->string('heading')->default('')->comment('with placeholders; empty: as it is without this');
            $table->text('text')->default('')->comment('Markdown with placeholders; empty: as it is without this');
            $table->string('address')->nullable()->comment('where to send people instead');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->unique(['scope', 'case']);
        });
    }

    public function down(): void
    {
        foreach (['notice_texts', 'posts', 'quiz_tries', 'watch_reports', 'watches', 'media'] as $table) {
            Schema::dropIfExists($table);
        }
        Schema::table('contents', fn (Blueprint $table) => $table->dropColumn(['quiz', 'board', 'version']));
        Schema::table('people', function (Blueprint $table): void {
            $table->dropUnique(['calendar_token']);
            $table->dropColumn('calendar_token');
        });
        Schema::table('courses', fn (Blueprint $table) => $table->dropColumn('about'));
    }
};
