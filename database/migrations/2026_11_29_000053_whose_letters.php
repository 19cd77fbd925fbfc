<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Under which name and address the school writes, and where answers go. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('schools', function (Blueprint $table): void {
            $table->string('sender_name')->nullable()->comment('null: that of the school');
            $table->string('sender_email')->nullable()->comment('null: that of the mailer');
            $table->string('reply_email')->nullable()->comment('null: to the sender');
        });
    }

    public function down(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn(['sender_name', 'sender_email', 'reply_email']));
    }
};
