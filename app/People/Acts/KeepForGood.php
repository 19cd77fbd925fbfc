<?php

declare(strict_types=1);

namespace App\People\Acts;

use App\Models\Offer;
use App\Models\Pass;
use App\Models\Person;
use App\People\ActOnPeople;
use App\People\ChosenPeople;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Psr\Clock\ClockInterface;

/**
 * Has the present passes of a course that was retired last for good: an act for each of its offers, told and taken back as
 * any other. Those that are paused are among them; what has ended or was withdrawn stays so.
 */
final class KeepForGood implements ShouldQueue
{
    use Queueable;

    public int $tries = 50;

    public int $maxExceptions = 3;

    /** @param  int  $revision  that retired it: for the same one it is done once */
    public function __construct(private readonly int $course, private readonly int $revision, private readonly int $by)
    {
    }

    public function handle(ActOnPeople $do, PeopleActs $acts, ClockInterface $clock): void
    {
        $actor = Person::query()->find($this->by);
        if ($actor === null) {
            return;
        }
        $now = gmdate('Y-m-d H:i:s', $clock->now()->getTimestamp());
        foreach (Offer::query()->where('course_id', $this->course)->orderBy('id')->get() as $offer) {
            $holders = Pass::query()->where('offer_id', $offer->id)->whereIn('state', ['active', 'paused'])->where('ends_at', '>', $now)->distinct()->orderBy('person_id')->pluck('person_id')->map(static fn (mixed $id): int => is_numeric($id) ? (int) $id : 0)->all();
            if ($holders !== []) {
                $form = ['do' => 'extend', 'offer' => $offer->key, 'good' => true];
                $do($acts->of($form, $actor), ChosenPeople::named(array_values($holders)), $actor, "retired {$this->revision} {$offer->id}", $form);
            }
        }
    }
}
