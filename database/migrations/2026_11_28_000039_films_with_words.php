<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is said in a film, to be read, and what stands there before it plays. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('media', function (Blueprint $table): void {
            $table->text('captions')->nullable()->comment('WebVTT');
            $table->string('captions_language', 5)->nullable();
            $table->string('poster')->nullable()->comment('path of a picture below storage/app');
            $table->string('poster_type', 20)->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('media', fn (Blueprint $table) => $table->dropColumn(['captions', 'captions_language', 'poster', 'poster_type']));
    }
};
