<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What lessons hold anew went live with a revision, and the history of the course says so. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', fn (Blueprint $table) => $table->json('contents')->nullable()->comment('of which items what went live with it'));
    }

    public function down(): void
    {
        Schema::table('revisions', fn (Blueprint $table) => $table->dropColumn('contents'));
    }
};
