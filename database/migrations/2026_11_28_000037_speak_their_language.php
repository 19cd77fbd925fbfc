<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** In which language the learner's side speaks. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->string('language', 5)->default('en'));
        Schema::table('people', fn (Blueprint $table) => $table->string('language', 5)->nullable()->comment('null: that of the school'));
    }

    public function down(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn('language'));
        Schema::table('people', fn (Blueprint $table) => $table->dropColumn('language'));
    }
};
