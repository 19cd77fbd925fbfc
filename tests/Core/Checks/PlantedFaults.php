<?php

declare(strict_types=1);

namespace Tests\Core\Checks;

use SilentKeep\Core\Checks\CheckKind as K;
use Tests\Core\Documents as D;

/** Ways in which a sensible plan goes wrong under the hands of somebody in a hurry. */
final class PlantedFaults
{
    private function __construct()
    {
    }

    /** @return array<string, array{K, \Closure(SensiblePlans): mixed}> false: not in this plan */
    public static function all(): array
    {
        return [...self::inTheOutline(), ...self::inTheTimes(), ...self::inWhatIsSold(), ...self::atTheDoors()];
    }

    /** @return array<string, array{K, \Closure(SensiblePlans): mixed}> */
    private static function inTheOutline(): array
    {
        return [
            'two lessons wait for each other' => [K::WaitsInCircle, static function (SensiblePlans $plan): void {
                $plan->items[2]['items'][0]['after'] = ['all' => [$plan->items[2]['items'][1]['key']]];
                $plan->items[2]['items'][1]['after'] = ['all' => [$plan->items[2]['items'][0]['key']]];
            }],
            'the first module waits for the second' => [K::WaitsInCircle, static function (SensiblePlans $plan): bool {
                $plan->items[1]['after'] = ['all' => ['m1']];
                $plan->items[2]['after'] = ['all' => ['m0']];

                return true;
            }],
            'a lesson in order waits for a later one' => [K::WaitsInCircle, static function (SensiblePlans $plan): void {
                $plan->items[1]['in_order'] = true;
                $plan->items[1]['items'][0]['after'] = ['all' => [$plan->items[1]['items'][2]['key']]];
            }],
            'a lesson asks for a bonus to be done' => [K::ConditionNeverHolds, static function (SensiblePlans $plan): void {
                $plan->items[] = D::lesson('extra', only: ['label' => 'oar-bonus'], optional: true);
                $plan->items[2]['items'][1]['only'] = ['done' => 'extra'];
            }],
            'a condition whose day is gone' => [K::ConditionNeverHolds, static function (SensiblePlans $plan): void {
                $plan->items[2]['items'][0]['only'] = ['until' => '2026-01-31T00:00'];
            }],
            'the welcome is labelled too' => [K::WelcomeForFew, static function (SensiblePlans $plan): void {
                $plan->items[1]['items'][0]['only'] = ['label' => 'cohort-a'];
            }],
            'a bonus in order' => [K::HoldsUpHolders, static function (SensiblePlans $plan): void {
                $plan->items[2]['in_order'] = true;
                array_splice($plan->items[2]['items'], 1, 0, [D::lesson('extra', only: ['label' => 'oar-bonus'])]);
            }],
            'a bonus in a module that is waited for' => [K::HoldsUpHolders, static function (SensiblePlans $plan): void {
                $plan->items[1]['items'][] = D::lesson('extra', only: ['label' => 'oar-bonus']);
                $plan->items[2]['after'] = ['all' => ['m0']];
            }],
            'it waits for a module that is all optional' => [K::WaitsForNothing, static function (SensiblePlans $plan): void {
                foreach (array_keys($plan->items[1]['items']) as $at) {
                    $plan->items[1]['items'][$at]['optional'] = true;
                }
                $plan->items[2]['after'] = ['all' => ['m0']];
            }],
            'a label that is misspelt' => [K::LabelNotGiven, static function (SensiblePlans $plan): void {
                $plan->items[2]['items'][1]['only'] = ['label' => 'oar-bonsu'];
            }],
        ];
    }

    /** @return array<string, array{K, \Closure(SensiblePlans): mixed}> */
    private static function inTheTimes(): array
    {
        $paced = static function (SensiblePlans $plan, array $entry, string $key = 'm1'): bool {
            $plan->course['plans']['weekly'][$key] = $entry;
            foreach (array_keys($plan->offers) as $at) {
                $plan->offers[$at]['plan'] = 'weekly';
            }
            $plan->course['main_plan'] = 'weekly';

            return true;
        };

        return [
            'a module opens after the pass has ended' => [K::OpensAfterPass, static fn (SensiblePlans $plan): bool => ($plan->offers[0]['lasts'] ?? null) !== null && ! isset($plan->course['closes']) && $paced($plan, ['opens' => ['rule' => 'after_start', 'days' => 400]])],
            'a module opens after the season' => [K::OpensAfterSeason, static function (SensiblePlans $plan) use ($paced): bool {
                $plan->course['closes'] = '2026-05-01T00:00';

                return $paced($plan, ['opens' => ['rule' => 'on', 'at' => '2026-06-01T09:00']]);
            }],
            'a module closes before it opens' => [K::ClosesBeforeOpening, static fn (SensiblePlans $plan): bool => $paced($plan, ['opens' => ['rule' => 'on', 'at' => '2026-05-01T09:00'], 'closes' => ['rule' => 'on', 'at' => '2026-04-01T09:00']])],
            'a module is closed to newcomers' => [K::ClosedToNewcomers, static fn (SensiblePlans $plan): bool => $paced($plan, ['closes' => ['rule' => 'on', 'at' => '2026-02-01T09:00']])],
            'a lesson waits for a module that is closed' => [K::WaitsForever, static function (SensiblePlans $plan) use ($paced): bool {
                $plan->items[3]['after'] = ['all' => ['m1']];

                return $paced($plan, ['closes' => ['rule' => 'on', 'at' => '2026-02-01T09:00']]);
            }],
            'a lesson waits for what is handed out' => [K::WaitsForever, static function (SensiblePlans $plan) use ($paced): bool {
                $plan->items[3]['after'] = ['all' => ['m1']];

                return $paced($plan, ['opens' => ['rule' => 'held']]);
            }],
            'nothing is open on the first day' => [K::FirstDayClosed, static fn (SensiblePlans $plan): bool => $paced($plan, ['opens' => ['rule' => 'after_start', 'days' => 3]], 'm0')],
            'a day of last year in a draft' => [K::DatePast, static function (SensiblePlans $plan) use ($paced): bool {
                $plan->course['state'] = 'draft';

                return $paced($plan, ['opens' => ['rule' => 'on', 'at' => '2025-09-01T09:00']]);
            }],
            'a plan left over' => [K::PlanUnused, static function (SensiblePlans $plan): void {
                $plan->course['plans']['spring'] = ['m1' => ['opens' => ['rule' => 'after_start', 'days' => 3]]];
            }],
        ];
    }

    /** @return array<string, array{K, \Closure(SensiblePlans): mixed}> */
    private static function inWhatIsSold(): array
    {
        return [
            'an offer made twice' => [K::OffersAlike, static function (SensiblePlans $plan): void {
                $plan->offers[] = ['key' => 'again'] + $plan->offers[0];
            }],
            'an offer of the wrong tier' => [K::OfferOpensNothing, static function (SensiblePlans $plan): bool {
                foreach (array_keys($plan->items) as $at) {
                    if ($plan->items[$at]['kind'] !== 'board') {
                        $plan->items[$at]['tiers'] = ['journeyman'];
                    }
                }
                $plan->course['tiers'] = ['apprentice', 'journeyman'];
                $plan->offers[] = ['key' => 'wrong', 'course' => 'c', 'tier' => 'apprentice'];

                return true;
            }],
            'an offer until a day that is gone' => [K::OfferOver, static function (SensiblePlans $plan): void {
                $plan->offers[0]['lasts'] = ['until' => '2026-01-01T00:00'];
                $plan->offers[] = ['key' => 'other', 'course' => 'c', 'tier' => $plan->offers[0]['tier'] ?? null];
            }],
            'no offer at all' => [K::NoWayIn, static function (SensiblePlans $plan): void {
                $plan->offers = [];
                $plan->knows['sold'] = [];
            }],
            'by offer, and none is sold' => [K::NothingSold, static function (SensiblePlans $plan): bool {
                $plan->knows['sold'] = [];

                return $plan->course['entry'] === 'offer';
            }],
            'by invitation, and sold' => [K::SoldByInvitation, static function (SensiblePlans $plan): void {
                $plan->course['entry'] = 'invite';
                $plan->knows['sold'] = ['full' => 9900];
            }],
            'open to anyone, and sold' => [K::SoldThoughOpen, static function (SensiblePlans $plan): void {
                $plan->course['entry'] = 'anyone';
                $plan->knows['sold'] = ['full' => 9900];
            }],
            'a tier that nobody sells' => [K::TierNotGiven, static function (SensiblePlans $plan): void {
                $plan->course['tiers'] = [...$plan->course['tiers'] ?? [], 'master'];
                $plan->items[2]['items'][0]['tiers'] = ['master'];
            }],
            'a trial of two days' => [K::TrialShort, static function (SensiblePlans $plan): bool {
                $plan->items[1]['sample'] = true;
                $plan->course['plans']['slow'] = ['m1' => ['opens' => ['rule' => 'after_start', 'days' => 7]]];
                for ($m = 2; isset($plan->items[$m + 1]) && $plan->items[$m + 1]['kind'] === 'module'; $m++) {
                    $plan->course['plans']['slow']["m{$m}"] = ['opens' => ['rule' => 'after_start', 'days' => 7 * $m]];
                }
                $plan->offers[] = ['key' => 'two', 'course' => 'c', 'plan' => 'slow', 'lasts' => ['days' => 2]];
                $plan->knows['trials'] = ['two'];

                return $plan->course['in_order'];
            }],
            'a trial that is not paced' => [K::TrialSooner, static function (SensiblePlans $plan): bool {
                $plan->offers[] = ['key' => 'taste', 'course' => 'c', 'lasts' => ['days' => 10]];
                $plan->knows['trials'] = ['taste'];
                $plan->knows['sold'] = ['full' => 9900];

                return isset($plan->course['plans']) && ! isset($plan->course['opens']);
            }],
        ];
    }

    /** @return array<string, array{K, \Closure(SensiblePlans): mixed}> */
    private static function atTheDoors(): array
    {
        return [
            'half of it as samples' => [K::SamplesGiveMuch, static function (SensiblePlans $plan): void {
                $plan->items[1]['sample'] = $plan->items[2]['sample'] = true;
            }],
            'a sample where all is open' => [K::SampleNoEffect, static function (SensiblePlans $plan): bool {
                $plan->course['entry'] = 'anyone';
                $plan->items[1]['items'][0]['sample'] = true;

                return ! isset($plan->course['plans']);
            }],
            'a sample for strangers who have to sign in' => [K::SampleForNobody, static function (SensiblePlans $plan): void {
                $plan->course['sample_needs_account'] = true;
                $plan->items[1]['items'][1]['sample'] = true;
                $plan->items[1]['items'][1]['only'] = ['kind' => 'visitor'];
            }],
            'a guest door to nothing' => [K::DoorLeadsNowhere, static function (SensiblePlans $plan): void {
                $plan->course['guest_door'] = ['open' => true, 'default' => false];
                $plan->items[0]['guests'] = null;
            }],
            'a permission, and the door shut' => [K::PermissionBehindShutDoor, static function (SensiblePlans $plan): void {
                $plan->course['observer_door'] = ['open' => false, 'default' => false];
                $plan->items[2]['observers'] = true;
            }],
            'guests ahead of those who pay' => [K::OvertakesLearners, static function (SensiblePlans $plan): bool {
                $plan->course['guest_door'] = ['open' => true, 'default' => false];
                $plan->items[3]['guests'] = true;

                return isset($plan->course['plans']) && isset($plan->course['plans']['weekly']['m2']['opens']['days']);
            }],
            'a guest door and no main plan' => [K::NoMainPlan, static function (SensiblePlans $plan): bool {
                $plan->course['guest_door'] = ['open' => true, 'default' => true];
                $plan->course['main_plan'] = null;

                return isset($plan->course['plans']);
            }],
        ];
    }
}
