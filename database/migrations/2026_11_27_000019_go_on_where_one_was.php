<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('watches', function (Blueprint $table): void {
            $table->float('position')->default(0)->comment('seconds; where the player stood when it last reported');
        });
    }

    public function down(): void
    {
        Schema::table('watches', fn (Blueprint $table) => $table->dropColumn('position'));
    }
};
