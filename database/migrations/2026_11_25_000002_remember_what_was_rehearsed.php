<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('drafts', function (Blueprint $table): void {
            $table->unsignedInteger('rehearsed_version')->nullable()->comment('the version whose rehearsal was last shown');
        });
    }

    public function down(): void
    {
        Schema::table('drafts', function (Blueprint $table): void {
            $table->dropColumn('rehearsed_version');
        });
    }
};
