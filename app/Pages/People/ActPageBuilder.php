<?php

declare(strict_types=1);

namespace App\Pages\People;

use App\Access\SchoolClock;
use App\Models\ActRecord;
use App\Models\Person;
use App\People\Outcomes;
use App\People\Staged\StagedActs;

/** Puts together what is seen of an act on many people. */
final readonly class ActPageBuilder
{
    public function __construct(private SchoolClock $clock)
    {
    }

    public function page(ActRecord $act): ActPage
    {
        $made = $act->made_at->getTimestamp();

        return new ActPage(
            $act->id, $act->told, $act->state, $act->looked, $act->of, $act->touched, ActOutcome::listOf(Outcomes::fromJson($act->outcomes)->sorted()),
            $act->canBeUndone(), $act->problem, Person::query()->find($act->actor_id)?->name, $this->clock->words($made),
            $act->undone_at === null ? null : $this->clock->words($act->undone_at->getTimestamp()), $act->state === 'prepared' && $made + StagedActs::HOLDS < $this->clock->now(),
        );
    }

    /**
     * The newest first.
     *
     * @return list<ActUnderWay> of somebody's own; of everybody's for who may run the school
     */
    public function underWay(Person $reader, bool $mayRun): array
    {
        $acts = ActRecord::query()->whereIn('state', ['preparing', 'prepared', 'undoing'])->when(! $mayRun, fn ($query) => $query->where('actor_id', $reader->id))->orderByDesc('id')->limit(10)->get(['id', 'told', 'state', 'of']);

        return array_values($acts->map(static fn (ActRecord $act): ActUnderWay => new ActUnderWay($act->id, $act->told, $act->state, $act->of))->all());
    }
}
