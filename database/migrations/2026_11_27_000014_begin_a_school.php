<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('schools', function (Blueprint $table): void {
            $table->string('currency', 3)->default('EUR')->comment('of new offers');
            $table->string('begin_code', 64)->nullable()->comment('hash of the code by which its first page is opened; null: it has begun');
        });
    }

    public function down(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn(['currency', 'begin_code']));
    }
};
