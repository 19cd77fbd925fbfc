<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('offers', function (Blueprint $table): void {
            $table->string('again', 20)->default('renewal')->comment('once, renewal or afterwards');
            $table->text('not_after')->default('[]')->comment('JSON: keys of offers; not for who holds a pass of one, or has held one');
            $table->boolean('not_after_course')->default(false)->comment('not for who has held any pass of the course');
            $table->string('only_label', 60)->nullable()->comment('only for people who have it');
            $table->unsignedInteger('most')->nullable()->comment('so many people at most');
            $table->dateTime('sold_from')->nullable();
            $table->dateTime('sold_until')->nullable()->comment('the first instant at which it is not sold any more');
            $table->unsignedInteger('upgrade_price')->nullable()->comment('for who gives up a lesser pass for it; null: as for others');
        });
        DB::table('offers')->where('trial', true)->update(['again' => 'once', 'not_after_course' => true]);
    }

    public function down(): void
    {
        Schema::table('offers', fn (Blueprint $table) => $table->dropColumn(['again', 'not_after', 'not_after_course', 'only_label', 'most', 'sold_from', 'sold_until', 'upgrade_price']));
    }
};
