<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Modules have words and a cover, beneath their heading. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('contents', fn (Blueprint $table) => $table->json('cover')->nullable()->comment('of a module: token of a picture, and what of it is kept in view'));
    }

    public function down(): void
    {
        Schema::table('contents', fn (Blueprint $table) => $table->dropColumn('cover'));
    }
};
