<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** So that all that many people have of one course lies side by side, and their passes tell which offers they are of without being opened. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('completions', function (Blueprint $table): void {
            $table->index(['course_id', 'person_id', 'item_key', 'completed_at'], 'completions_of_course_index');
        });
        Schema::table('grants', function (Blueprint $table): void {
            $table->index(['course_id', 'person_id']);
        });
        Schema::table('passes', function (Blueprint $table): void {
            $table->index(['course_id', 'person_id']);
            $table->index(['person_id', 'course_id', 'offer_id']);
            $table->dropIndex(['person_id', 'course_id']);
        });
    }

    public function down(): void
    {
        Schema::table('passes', function (Blueprint $table): void {
            $table->index(['person_id', 'course_id']);
            $table->dropIndex(['person_id', 'course_id', 'offer_id']);
            $table->dropIndex(['course_id', 'person_id']);
        });
        Schema::table('grants', function (Blueprint $table): void {
            $table->dropIndex(['course_id', 'person_id']);
        });
        Schema::table('completions', function (Blueprint $table): void {
            $table->dropIndex('completions_of_course_index');
        });
    }
};
