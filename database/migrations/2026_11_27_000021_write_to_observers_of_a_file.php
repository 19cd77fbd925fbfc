<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('imports', fn (Blueprint $table) => $table->unsignedBigInteger('lettered_observers')->nullable()->comment('the last observer who was written to; null: none is to be written to yet, or any more'));
    }

    public function down(): void
    {
        Schema::table('imports', fn (Blueprint $table) => $table->dropColumn('lettered_observers'));
    }
};
