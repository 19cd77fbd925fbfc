<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** A notice can stand at an item or a module, and for the holders of one offer; kinds of closed doors that were one are told apart. */
return new class extends Migration
{
    /** Kinds of before: what was said there is said at each of those that it was. */
    private const TOLD_APART = [
        'not-covered' => ['other-tier', 'other-part', 'other-people', 'held', 'stuck'],
        'ended' => ['paused', 'withdrawn'],
        'not-admitted' => ['no-guests', 'no-observers'],
        'too-early' => ['course-not-open'],
        'course-over' => ['course-retired'],
    ];

    private const GONE = ['not-covered', 'not-admitted'];

    public function up(): void
    {
        Schema::table('notice_texts', function (Blueprint $table): void {
            $table->string('item_key')->nullable()->comment('of an item or a module of the course; null: of all of it');
            $table->string('offer_key')->nullable()->comment('for those who hold or held a pass of this offer; null: for everybody');
        });
        foreach (DB::table('notice_texts')->whereIn('case', array_keys(self::TOLD_APART))->get() as $text) {
            $columns = array_diff_key((array) $text, ['id' => true]);
            foreach (self::TOLD_APART[is_string($text->case) ? $text->case : ''] ?? [] as $case) {
                DB::table('notice_texts')->insert([...$columns, 'case' => $case]);
            }
        }
        DB::table('notice_texts')->whereIn('case', self::GONE)->delete();
    }

    public function down(): void
    {
        DB::table('notice_texts')->whereNotNull('item_key')->orWhereNotNull('offer_key')->delete();
        // The first of those that were told apart stands for all of them.
        foreach (self::GONE as $gone) {
            DB::table('notice_texts')->where('case', self::TOLD_APART[$gone][0])->update(['case' => $gone]);
        }
        DB::table('notice_texts')->whereIn('case', array_merge(...array_values(self::TOLD_APART)))->delete();
        Schema::table('notice_texts', fn (Blueprint $table) => $table->dropColumn(['item_key', 'offer_key']));
    }
};
