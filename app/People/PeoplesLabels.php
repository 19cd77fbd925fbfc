<?php

declare(strict_types=1);

namespace App\People;

use App\Access\SchoolClock;
use App\Access\Viewers;
use App\Database\Dialects;
use App\Database\Value;
use App\Models\Label;
use App\Models\Offer;
use App\Models\Pass;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Which labels people have at an instant, their own and those that their passes give. */
final readonly class PeoplesLabels
{
    public function __construct(private SchoolClock $clock)
    {
    }

    /**
     * @param  array<int>  $people
     * @return array<int, list<HeldLabel>> by person, in the order of the labels; two queries, however many people
     */
    public function of(array $people): array
    {
        $now = $this->clock->now();
        $held = [];
        foreach (Label::query()->whereIntegerInRaw('person_id', $people)->get() as $label) {
            if (($label->starts_at === null || $label->starts_at->getTimestamp() <= $now) && ($label->ends_at === null || $label->ends_at->getTimestamp() > $now)) {
                $held[$label->person_id][] = new HeldLabel($label->label, $label->source, byPass: false, until: $label->ends_at?->getTimestamp());
            }
        }
        foreach (Pass::query()->with('offer')->whereIntegerInRaw('person_id', $people)->whereIn('offer_id', Offer::query()->select('id')->where('labels', '!=', '[]'))->orderBy('id')->get() as $pass) {
            foreach (Viewers::pass($pass)->isActive($now) ? $pass->offer->labels : [] as $label) {
                $held[$pass->person_id][] = new HeldLabel($label, $pass->offer->name, byPass: true, until: $pass->ends_at?->getTimestamp());
            }
        }
        foreach ($held as $person => $labels) {
            usort($labels, static fn (HeldLabel $a, HeldLabel $b): int => $a->label <=> $b->label);
            $held[$person] = $labels;
        }

        return $held;
    }

    /** Ids of the people who have a label at an instant, as a query within another. */
    public static function whoHave(string $label, int $at): Builder
    {
        $stored = gmdate('Y-m-d H:i:s', $at);
        $within = static fn (Builder $query): Builder => $query->where(static fn (Builder $q) => $q->whereNull('starts_at')->orWhere('starts_at', '<=', $stored))
            ->where(static fn (Builder $q) => $q->whereNull('ends_at')->orWhere('ends_at', '>', $stored));
        // Asked before: passes are found by their offers, and not looked through where none gives it.
        $giving = Value::ints(DB::table('offers')->whereRaw('exists (select 1 from '.Dialects::spoken()->elements('offers.labels', 'given').' where given.value = ?)', [$label])->orderBy('id')->pluck('id'));
        $have = $within(DB::table('labels')->select('person_id')->where('label', $label));

        return $giving === [] ? $have : $have->union($within(DB::table('passes')->select('person_id')->where('state', 'active')->whereIntegerInRaw('offer_id', $giving)));
    }

    /** @return list<string> labels that anybody has or could get, in their order */
    public static function known(int $most): array
    {
        $own = Value::texts(Label::query()->distinct()->orderBy('label')->limit($most)->pluck('label'));
        $given = array_merge([], ...array_values(Offer::query()->where('labels', '!=', '[]')->get()->map(static fn (Offer $offer): array => $offer->labels)->all()));
        $known = array_values(array_unique([...$own, ...$given]));
        sort($known, SORT_STRING);

        return $known;
    }
}
