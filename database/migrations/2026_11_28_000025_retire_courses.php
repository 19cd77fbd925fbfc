<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What becomes of a course that is over: its address, whether the front names it, and where else it sends people. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('courses', function (Blueprint $table): void {
            $table->string('address', 60)->nullable()->unique()->comment('under which it is found; null: its key');
            $table->string('old_address', 10)->default('closing')->comment('closing or nothing: what its key leads to where it has another address');
            $table->boolean('listed_over')->default(false)->comment('whether the front names it once it is retired');
            $table->string('subject', 60)->default('');
            $table->json('retirement')->nullable()->comment('what goes with the draft that retires it; gone with the draft');
        });
    }

    public function down(): void
    {
        Schema::table('courses', function (Blueprint $table): void {
            $table->dropUnique(['address']);
            $table->dropColumn(['address', 'old_address', 'listed_over', 'subject', 'retirement']);
        });
    }
};
