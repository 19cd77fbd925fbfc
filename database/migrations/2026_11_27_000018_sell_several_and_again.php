<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Bundles of offers, memberships that are paid for again and again, and what the shop tells of them. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('bundles', function (Blueprint $table): void {
            $table->id();
            $table->string('key')->unique();
            $table->string('name');
            $table->unsignedInteger('price')->nullable()->comment('in the smallest unit of the currency; null: not sold');
            $table->string('currency', 3)->default('EUR');
            $table->string('every', 10)->nullable()->comment('month or year: it is paid for again; null: once');
            $table->timestamps();
        });
        Schema::create('bundle_offer', function (Blueprint $table): void {
            $table->foreignId('bundle_id')->constrained()->cascadeOnDelete();
            $table->foreignId('offer_id')->constrained()->restrictOnDelete();
            $table->primary(['bundle_id', 'offer_id']);
        });
        Schema::table('offers', function (Blueprint $table): void {
            $table->string('every', 10)->nullable()->comment('month or year: it is paid for again; null: once');
        });
        Schema::create('purchases', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->foreignId('offer_id')->nullable()->constrained()->restrictOnDelete();
            $table->foreignId('bundle_id')->nullable()->constrained()->restrictOnDelete();
            $table->unsignedInteger('cents');
            $table->string('currency', 3);
            $table->string('every', 10)->nullable();
            $table->string('state', 10)->default('paid')->comment('paid, missed or refunded');
            $table->unsignedInteger('payments')->default(1)->comment('how many have come, counted by the shop');
            $table->dateTime('counts_from')->nullable()->comment('the instant from which payments carry a membership on');
            $table->unsignedInteger('counts_after')->default(0)->comment('payments before that instant');
            $table->dateTime('paid_until')->nullable()->comment('of a membership');
            $table->dateTime('bought_at');
            $table->index('person_id');
        });
        Schema::table('passes', function (Blueprint $table): void {
            $table->foreignId('purchase_id')->nullable()->constrained()->nullOnDelete();
        });
        Schema::create('shop_events', function (Blueprint $table): void {
            $table->id();
            $table->string('event', 100)->unique()->comment('as the shop numbers it: the same one twice is one');
            $table->foreignId('purchase_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 10)->comment('payment, missed or refund');
            $table->unsignedInteger('payment')->nullable()->comment('which one it is about');
            $table->string('did')->comment('what came of it, in words');
            $table->dateTime('received_at');
        });
        Schema::table('schools', function (Blueprint $table): void {
            $table->unsignedSmallInteger('missed_days')->default(7)->comment('after a payment was due that did not come, a membership ends');
        });
    }

    public function down(): void
    {
        Schema::table('schools', fn (Blueprint $table) => $table->dropColumn('missed_days'));
        Schema::dropIfExists('shop_events');
        Schema::table('passes', fn (Blueprint $table) => $table->dropConstrainedForeignId('purchase_id'));
        Schema::dropIfExists('purchases');
        Schema::table('offers', fn (Blueprint $table) => $table->dropColumn('every'));
        Schema::dropIfExists('bundle_offer');
        Schema::dropIfExists('bundles');
    }
};
