<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Whoever types an address has not shown that it is theirs. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('people', function (Blueprint $table): void {
            $table->string('claimed_email')->nullable()->comment('what somebody typed who has not used the link that was sent there; `email` then names nobody');
            $table->string('session_key', 40)->nullable()->comment('sessions that began under another one are over');
        });
        // Few are only claimed.
        DB::statement('create index people_claimed_email_index on people (claimed_email) where claimed_email is not null');
        Schema::table('sign_in_links', function (Blueprint $table): void {
            $table->index('person_id');
        });
    }

    public function down(): void
    {
        DB::table('people')->whereNotNull('claimed_email')->delete();
        Schema::table('sign_in_links', fn (Blueprint $table) => $table->dropIndex(['person_id']));
        Schema::table('people', function (Blueprint $table): void {
            $table->dropIndex(['claimed_email']);
            $table->dropColumn(['claimed_email', 'session_key']);
        });
    }
};
