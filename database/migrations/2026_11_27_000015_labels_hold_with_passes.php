<?php

declare(strict_types=1);

use App\Database\Dialects;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * The labels that an offer gives move into the rules of its course, and are held for as long as a pass of it is active. Those that
 * purchases wrote to people are theirs no more where such a pass gives them now; where none does, people keep them, and the log says who.
 */
return new class extends Migration
{
    public function up(): void
    {
        Schema::table('labels', function (Blueprint $table): void {
            $table->dateTime('starts_at')->nullable()->comment('null: since ever');
            $table->dateTime('ends_at')->nullable()->comment('the first instant at which it is not held any more; null: for good');
        });
        $now = gmdate('Y-m-d H:i:s');
        foreach (DB::table('offers')->where('labels', '!=', '[]')->get()->groupBy('course_id') as $courseId => $offers) {
            $given = [];
            foreach ($offers as $offer) {
                $given[(string) $offer->key] = array_values(array_unique(array_filter((array) json_decode((string) $offer->labels, true), static fn (mixed $label): bool => is_string($label) && $label !== '')));
            }
            $kept = 0;
            foreach ($offers as $offer) {
                $kept += $this->takeOver($offer, $given[(string) $offer->key], $now);
            }
            $this->intoTheRules((int) $courseId, $given, $kept, $now);
        }
    }

    /**
     * @param  array<array-key, list<string>>  $given  labels by offer
     * @param  int  $kept  how many labels that purchases wrote no pass explains any more
     */
    private function intoTheRules(int $courseId, array $given, int $kept, string $now): void
    {
        $live = DB::table('revisions')->where('id', DB::table('courses')->where('id', $courseId)->value('live_revision_id'))->first();
        if ($live !== null) {
            $document = self::withLabels((string) $live->document, $given);
            if ($document !== $live->document) {
                $revision = DB::table('revisions')->insertGetId([
                    'course_id' => $courseId, 'number' => 1 + (int) DB::table('revisions')->where('course_id', $courseId)->max('number'),
                    'document' => $document, 'note' => 'The labels that offers give stand in the rules now'.($kept === 0 ? '' : "; bought labels whose pass is over stay with those who have them: {$kept} (the history of each says so)"), 'published_at' => $now,
                ]);
                DB::table('courses')->where('id', $courseId)->update(['live_revision_id' => $revision]);
                DB::table('drafts')->where('course_id', $courseId)->where('base_revision_id', $live->id)->update(['base_revision_id' => $revision]);
            }
        }
        foreach (DB::table('drafts')->where('course_id', $courseId)->get() as $draft) {
            DB::table('drafts')->where('id', $draft->id)->update(['document' => self::withLabels((string) $draft->document, $given), 'version' => $draft->version + 1]);
            // What is undone comes back as it was, but for this.
            foreach (DB::table('draft_edits')->where('draft_id', $draft->id)->get() as $edit) {
                DB::table('draft_edits')->where('id', $edit->id)->update([
                    'before' => self::withLabels((string) $edit->before, $given), 'undone_from' => $edit->undone_from === null ? null : self::withLabels((string) $edit->undone_from, $given),
                ]);
            }
        }
    }

    /** @param  array<array-key, list<string>>  $given  labels by offer */
    private static function withLabels(string $json, array $given): string
    {
        $document = json_decode($json, false, 512, JSON_THROW_ON_ERROR);
        foreach ($document->offers ?? [] as $offer) {
            if (($given[$offer->key ?? ''] ?? []) !== [] && ! isset($offer->labels)) {
                $offer->labels = $given[$offer->key];
            }
        }

        return json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
    }

    /**
     * @param  list<string>  $labels  that the offer gives
     * @return int how many of those that it gave no pass explains any more
     */
    private function takeOver(stdClass $offer, array $labels, string $now): int
    {
        $written = static fn () => DB::table('labels')->where('source', $offer->name)->whereIn('label', $labels);
        $holders = DB::table('passes')->select('person_id')->where('offer_id', $offer->id)->where('state', 'active')->where(fn ($q) => $q->whereNull('ends_at')->orWhere('ends_at', '>', $now));
        $written()->whereIn('person_id', $holders)->delete();

        return DB::table('activities')->insertUsing(
            ['person_id', 'course_id', 'action', 'after', 'happened_at'],
            $written()->orderBy('id')->selectRaw('person_id, ?, \'label.kept\', '.Dialects::spoken()->object(['label' => 'label', 'offer' => '?']).', ?', [$offer->course_id, $offer->key, $now]),
        );
    }

    public function down(): void
    {
        Schema::table('labels', fn (Blueprint $table) => $table->dropColumn(['starts_at', 'ends_at']));
    }
};
