<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Acts that nobody did, but a trigger of the school, say which. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people_acts', fn (Blueprint $table) => $table->string('by')->nullable()->comment('name of what had it done, where nobody did'));
    }

    public function down(): void
    {
        Schema::table('people_acts', fn (Blueprint $table) => $table->dropColumn('by'));
    }
};
