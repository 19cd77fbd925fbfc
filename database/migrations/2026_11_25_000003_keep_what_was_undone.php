<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('draft_edits', function (Blueprint $table): void {
            $table->text('undone_from')->nullable()->comment('JSON; the document that redo brings back, null while the edit stands');
        });
    }

    public function down(): void
    {
        Schema::table('draft_edits', function (Blueprint $table): void {
            $table->dropColumn('undone_from');
        });
    }
};
