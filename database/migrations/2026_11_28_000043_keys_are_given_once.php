<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What was taken out of a course: its key is not given again, and what it held is let go of some time later. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('former_items', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('course_id')->constrained()->cascadeOnDelete();
            $table->string('item_key');
            $table->dateTime('taken_out_at');
            $table->dateTime('let_go_at')->nullable()->comment('when what it held was let go of; null: it is kept');
            $table->unique(['course_id', 'item_key']);
            $table->index(['let_go_at', 'taken_out_at']);
        });
        $now = gmdate('Y-m-d H:i:s');
        foreach (DB::table('courses')->orderBy('id')->get(['id', 'live_revision_id']) as $course) {
            $live = $once = [];
            foreach (DB::table('revisions')->where('course_id', $course->id)->orderBy('id')->cursor() as $revision) {
                $keys = self::keys(json_decode($revision->document)->course->items ?? []);
                $once += $keys;
                $live = $revision->id === $course->live_revision_id ? $keys : $live;
            }
            foreach (array_chunk(array_keys(array_diff_key($once, $live)), 200) as $gone) {
                DB::table('former_items')->insert(array_map(static fn (int|string $key): array => ['course_id' => $course->id, 'item_key' => (string) $key, 'taken_out_at' => $now], $gone));
            }
        }
    }

    public function down(): void
    {
        Schema::dropIfExists('former_items');
    }

    /**
     * @param  list<stdClass>  $items
     * @return array<array-key, true>
     */
    private static function keys(array $items): array
    {
        $keys = [];
        foreach ($items as $item) {
            $keys += [$item->key => true] + self::keys($item->items ?? []);
        }

        return $keys;
    }
};
