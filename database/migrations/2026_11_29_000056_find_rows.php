<?php

declare(strict_types=1);

use App\Access\Shelf\RowIndex;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Titles of published rows, and the full-text index of the database over their words. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('row_titles', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->string('kind');
            $table->text('title');
            $table->text('words');
            $table->index('course_id');
        });
        if (DB::getDriverName() === 'sqlite') {
            DB::statement("create virtual table row_words using fts5(words, content='row_titles', content_rowid='id', tokenize='unicode61 remove_diacritics 0')");
            DB::statement('create trigger row_titles_inserted after insert on row_titles begin insert into row_words(rowid, words) values (new.id, new.words); end');
            DB::statement("create trigger row_titles_deleted after delete on row_titles begin insert into row_words(row_words, rowid, words) values ('delete', old.id, old.words); end");
        } else {
            DB::statement("create index row_titles_words_index on row_titles using gin (to_tsvector('simple', words))");
        }
        (new RowIndex)->fill();
    }

    public function down(): void
    {
        DB::statement('drop table if exists row_words');
        Schema::dropIfExists('row_titles');
    }
};
