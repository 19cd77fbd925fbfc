<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What the school and its courses show of themselves to whoever has not come in yet. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('course_faces', function (Blueprint $table): void {
            $table->foreignId('course_id')->primary()->constrained()->cascadeOnDelete();
            $table->string('sentence', 200)->default('')->comment('what it is, for its card');
            $table->json('outcomes')->comment('what one will be able to do, a line each');
            $table->json('questions')->comment('asked often, with their answers in Markdown');
            $table->string('cover', 24)->default('')->comment('token of a picture; empty: it is drawn');
            $table->unsignedTinyInteger('focus_x')->default(50)->comment('what of the picture is kept in view, in per cent from the left');
            $table->unsignedTinyInteger('focus_y')->default(50)->comment('from the top');
            $table->string('drawing', 16)->default('')->comment('which drawing stands there without a picture; empty: that of its key');
            $table->string('contact_name', 100)->nullable()->comment('whom to ask; null: whom the school names');
            $table->string('contact_email', 190)->nullable();
            $table->unsignedInteger('version')->default(1);
        });
        Schema::table('contents', fn (Blueprint $table) => $table->unsignedSmallInteger('minutes')->nullable()->comment('that it takes, as its author says; null: as reckoned'));
        Schema::table('schools', function (Blueprint $table): void {
            $table->string('front_title', 120)->default('');
            $table->string('front_text', 600)->default('');
            $table->string('front_picture', 24)->default('')->comment('token of a picture; empty: it is drawn');
            $table->unsignedTinyInteger('front_focus_x')->default(50);
            $table->unsignedTinyInteger('front_focus_y')->default(50);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('course_faces');
        Schema::table('contents', fn (Blueprint $table) => $table->dropColumn('minutes'));
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn(['front_title', 'front_text', 'front_picture', 'front_focus_x', 'front_focus_y']));
    }
};
