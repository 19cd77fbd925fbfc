<?php

declare(strict_types=1);

namespace App\Labels;

use App\Database\Dialects;
use App\Models\Label;
use Illuminate\Support\Facades\DB;

/** What people have of their own: a few statements, however many people. */
final class LabelsOfPeople
{
    /**
     * Whoever has both has the one from when the first of them began until the last of them ends; where they do not meet,
     * the later of them. To be called inside a transaction.
     *
     * @return int how many people had the first
     */
    public function rename(string $from, string $to): int
    {
        $people = Label::query()->where('label', $from)->count();
        $dialect = Dialects::spoken();
        DB::update(<<<SQL
            update labels set
                starts_at = case
                    when old.starts_at > labels.ends_at then old.starts_at
                    when labels.starts_at > old.ends_at then labels.starts_at
                    when labels.starts_at is null or old.starts_at is null then null
                    else {$dialect->least('labels.starts_at', 'old.starts_at')} end,
                ends_at = case
                    when old.starts_at > labels.ends_at then old.ends_at
                    when labels.starts_at > old.ends_at then labels.ends_at
                    when labels.ends_at is null or old.ends_at is null then null
                    else {$dialect->greatest('labels.ends_at', 'old.ends_at')} end
            from labels as old where old.person_id = labels.person_id and old.label = ? and labels.label = ?
            SQL, [$from, $to]);
        $both = static fn () => DB::table('labels')->select('person_id')->where('label', $to);
        // What somebody had besides is no file's to take back.
        DB::table('import_labels')->where('label', $from)->whereIn('person_id', $both())->delete();
        Label::query()->where('label', $from)->whereIn('person_id', $both())->delete();
        Label::query()->where('label', $from)->update(['label' => $to]);
        DB::table('import_labels')->where('label', $from)->update(['label' => $to]);

        return $people;
    }
}
