<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Facades\Storage;

/** How large pictures of lessons are: their place is kept while they come. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('media', function (Blueprint $table): void {
            $table->unsignedInteger('width')->nullable()->comment('pixels of a picture; null: it is none, or that is not known');
            $table->unsignedInteger('height')->nullable();
        });
        foreach (DB::table('media')->where('kind', 'image')->pluck('path', 'id') as $id => $path) {
            $size = is_string($path) && Storage::exists($path) ? @getimagesizefromstring((string) Storage::get($path)) : false;
            if ($size !== false) {
                DB::table('media')->where('id', $id)->update(['width' => $size[0], 'height' => $size[1]]);
            }
        }
    }

    public function down(): void
    {
        Schema::table('media', fn (Blueprint $table) => $table->dropColumn(['width', 'height']));
    }
};
