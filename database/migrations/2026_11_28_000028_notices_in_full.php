<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Pictures of the school's own, notices that many doors share and without a heading, offers of other courses, and the days on which nothing opens. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('pictures', function (Blueprint $table): void {
            $table->id();
            $table->string('token')->unique()->comment('part of its address');
            $table->string('title')->comment('what it shows, for whoever does not see it');
            $table->unsignedInteger('width');
            $table->unsignedInteger('height');
            $table->json('widths')->comment('in which it is kept, the smallest first');
            $table->unsignedBigInteger('bytes')->comment('of all of them');
            $table->foreignId('made_by')->nullable()->constrained('people')->nullOnDelete();
            $table->dateTime('made_at');
        });
        Schema::create('shared_notices', function (Blueprint $table): void {
            $table->id();
            $table->string('name')->unique();
            $table->json('live')->nullable()->comment('words that stand at doors: heading, titled, text, parts; null: never published');
            $table->json('draft')->nullable()->comment('likewise, changed and not published');
            $table->unsignedInteger('version')->default(1);
            $table->dateTime('published_at')->nullable();
        });
        Schema::create('related_offers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key')->default('')->comment('on whose page it stands; empty: that of the course');
            $table->foreignId('other_id')->constrained('courses')->cascadeOnDelete();
            $table->string('heading');
            $table->text('text')->comment('Markdown');
            $table->string('button');
            $table->string('picture')->nullable()->comment('token of one');
            $table->unsignedInteger('version')->default(1);
            $table->unique(['course_id', 'item_key']);
        });
        Schema::table('schools', function (Blueprint $table): void {
            $table->json('holidays')->default('[]')->comment('YYYY-MM-DD, on which nothing opens when dates are moved');
        });
        Schema::table('notice_texts', function (Blueprint $table): void {
            $table->foreignId('shared_id')->nullable()->constrained('shared_notices')->restrictOnDelete();
            $table->boolean('titled')->default(true)->comment('false: there is no heading at all');
        });
    }

    public function down(): void
    {
        Schema::table('notice_texts', function (Blueprint $table): void {
            $table->dropConstrainedForeignId('shared_id');
            $table->dropColumn('titled');
        });
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn('holidays'));
        Schema::dropIfExists('related_offers');
        Schema::dropIfExists('shared_notices');
        Schema::dropIfExists('pictures');
    }
};
